import { publishedTable } from '../../../../kernel/publishedTable';

export const SOIL = publishedTable({
  source: 'IEC 60364-5-52:2009, Table B.52.16',
  recalled: true,
  quantity: 'C_s, no unit',
  key: 'thermal resistivity of the soil, K·m/W; between rows the drier row',
  columns: ['D1', 'D2'],
  rows: [
    [0.5, 1.28, 1.88],
    [0.7, 1.2, 1.62],
    [1, 1.18, 1.5],
    [1.5, 1.1, 1.28],
    [2, 1.05, 1.12],
    [2.5, 1, 1],
    [3, 0.96, 0.9],
  ],
});
