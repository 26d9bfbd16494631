import { publishedTable } from '../../kernel/publishedTable';

/** Condition 1: nothing live and grounded opposite; 2: grounded parts opposite (concrete, brick and tile count); 3: live parts opposite. */
export const WORKING_SPACE = publishedTable({
  source: 'NFPA 70 table 110.26(A)(1)',
  recalled: true,
  quantity: 'mm',
  key: 'voltage to ground up to, V',
  columns: ['1', '2', '3'],
  rows: [
    [150, 914, 914, 914],
    [600, 914, 1067, 1219],
    [1000, 914, 1219, 1524],
  ],
});
