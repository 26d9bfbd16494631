import { publishedTable } from '../../../../kernel/publishedTable';

export const RESISTANCE_20C = publishedTable({
  source: 'IEC 60228:2004, Table 2, stranded class 2',
  recalled: true,
  quantity: 'R20, Ω/km',
  key: 'section, mm²',
  columns: ['Cu', 'Al'],
  rows: [
    [4, 4.61, null],
    [6, 3.08, null],
    [10, 1.83, 3.08],
    [16, 1.15, 1.91],
    [25, 0.727, 1.2],
    [35, 0.524, 0.868],
    [50, 0.387, 0.641],
    [70, 0.268, 0.443],
    [95, 0.193, 0.32],
    [120, 0.153, 0.253],
    [150, 0.124, 0.206],
    [185, 0.0991, 0.164],
    [240, 0.0754, 0.125],
    [300, 0.0601, 0.1],
    [400, 0.047, 0.0778],
    [500, 0.0366, 0.0605],
    [630, 0.0283, 0.0469],
  ],
});
