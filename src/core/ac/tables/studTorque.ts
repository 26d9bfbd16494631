import { publishedTable } from '../../kernel/publishedTable';

export const STUD_TORQUE = publishedTable({
  source: 'IEC 60947-1 Table 4 and DIN 46200; typical range from common practice',
  recalled: true,
  quantity: 'N·m',
  key: 'thread M',
  columns: ['IEC 60947-1 hex', 'DIN 46200 stud', 'typical low', 'typical high'],
  rows: [
    [6, 3, 3, 4, 6],
    [8, 6, 6, 10, 15],
    [10, 10, 10, 20, 30],
    [12, 14, 15.5, 35, 50],
    [16, 25, 30, 70, 100],
  ],
});
