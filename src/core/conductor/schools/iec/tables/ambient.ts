import { publishedTable } from '../../../../kernel/publishedTable';

export const AMBIENT_IN_AIR = publishedTable({
  source: 'IEC 60364-5-52:2009, Table B.52.14', recalled: true,
  quantity: 'C_t, no unit', key: 'ambient, °C; between rows the hotter row', columns: ['PVC', 'XLPE'],
  rows: [
    [10, 1.22, 1.15],
    [15, 1.17, 1.12],
    [20, 1.12, 1.08],
    [25, 1.06, 1.04],
    [30, 1, 1],
    [35, 0.94, 0.96],
    [40, 0.87, 0.91],
    [45, 0.79, 0.87],
    [50, 0.71, 0.82],
    [55, 0.61, 0.76],
    [60, 0.5, 0.71],
    [65, null, 0.65],
    [70, null, 0.58],
    [75, null, 0.5],
    [80, null, 0.41],
  ],
});

export const AMBIENT_IN_GROUND = publishedTable({
  source: 'IEC 60364-5-52:2009, Table B.52.15', recalled: true,
  quantity: 'C_t, no unit', key: 'ambient, °C; between rows the hotter row', columns: ['PVC', 'XLPE'],
  rows: [
    [10, 1.1, 1.07],
    [15, 1.05, 1.04],
    [20, 1, 1],
    [25, 0.95, 0.96],
    [30, 0.89, 0.93],
    [35, 0.84, 0.89],
    [40, 0.77, 0.85],
    [45, 0.71, 0.8],
    [50, 0.63, 0.76],
    [55, 0.55, 0.71],
    [60, 0.45, 0.65],
    [65, null, 0.6],
    [70, null, 0.53],
    [75, null, 0.46],
    [80, null, 0.38],
  ],
});
