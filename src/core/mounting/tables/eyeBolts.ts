import { publishedTable } from '../../kernel/publishedTable';

export const EYE_BOLTS = publishedTable({
  source: 'DIN 580',
  recalled: true,
  quantity: 'kg a bolt',
  key: 'thread M',
  columns: ['axial', 'to 45°'],
  rows: [
    [8, 140, 95],
    [10, 230, 170],
    [12, 340, 240],
    [16, 700, 500],
  ],
});
