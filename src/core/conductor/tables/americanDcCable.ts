import { publishedTable } from '../../kernel/publishedTable';

export const AMERICAN_DC_CABLE = publishedTable({
  source: 'NFPA 70, chapter 9, Table 8, coated copper',
  recalled: true,
  quantity: 'R at 75 °C, Ω/km',
  key: 'area, mm²',
  columns: ['R75'],
  rows: [
    [2.08, 10.7],
    [3.31, 6.73],
    [5.26, 4.226],
    [8.37, 2.653],
    [13.3, 1.671],
  ],
});
