import { publishedTable } from '../../kernel/publishedTable';

export const CABLE_MASS = publishedTable({
  source: 'built up from IEC 60502-1 thicknesses and the densities of metal and plastic', recalled: true,
  quantity: 'mass, kg/m', key: 'section, mm²', columns: ['1-core Cu', '1-core Al', '4-core Cu', '4-core Al'],
  rows: [
    [4, 0.07, null, 0.32, null],
    [6, 0.09, null, 0.42, null],
    [10, 0.13, 0.07, 0.6, 0.35],
    [16, 0.2, 0.1, 0.87, 0.47],
    [25, 0.29, 0.14, 1.31, 0.68],
    [35, 0.39, 0.17, 1.74, 0.86],
    [50, 0.55, 0.23, 2.42, 1.15],
    [70, 0.75, 0.3, 3.34, 1.57],
    [95, 0.99, 0.39, 4.4, 2.01],
    [120, 1.24, 0.48, 5.55, 2.52],
    [150, 1.55, 0.6, 6.91, 3.13],
    [185, 1.91, 0.74, 8.52, 3.85],
    [240, 2.45, 0.94, 10.9, 4.84],
    [300, 3.03, 1.14, 13.48, 5.9],
    [400, 4.02, 1.5, null, null],
    [500, 5.01, 1.85, null, null],
    [630, 6.28, 2.3, null, null],
  ],
});
