import { publishedTable } from '../../../../kernel/publishedTable';

export const AMBIENT_310_15 = publishedTable({
  source: 'NFPA 70, Table 310.15(B)(1)',
  recalled: true,
  quantity: 'C_t, no unit',
  key: 'ambient, °C; between rows the hotter row',
  columns: ['60', '75', '90'],
  rows: [
    [10, 1.29, 1.2, 1.15],
    [15, 1.22, 1.15, 1.12],
    [20, 1.15, 1.11, 1.08],
    [25, 1.08, 1.05, 1.04],
    [30, 1, 1, 1],
    [35, 0.91, 0.94, 0.96],
    [40, 0.82, 0.88, 0.91],
    [45, 0.71, 0.82, 0.87],
    [50, 0.58, 0.75, 0.82],
    [55, 0.41, 0.67, 0.76],
    [60, null, 0.58, 0.71],
    [65, null, 0.47, 0.65],
    [70, null, 0.33, 0.58],
    [75, null, null, 0.5],
    [80, null, null, 0.41],
    [85, null, null, 0.29],
  ],
});

export const BUNDLED_310_15 = publishedTable({
  source: 'NFPA 70, Table 310.15(C)(1)',
  recalled: true,
  quantity: 'C_a, no unit',
  key: 'current-carrying conductors in one raceway; the last row holds beyond',
  columns: ['share'],
  rows: [
    [3, 1],
    [6, 0.8],
    [9, 0.7],
    [20, 0.5],
    [30, 0.45],
    [40, 0.4],
    [41, 0.35],
  ],
});
