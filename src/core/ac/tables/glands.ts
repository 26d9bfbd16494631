import { publishedTable } from '../../kernel/publishedTable';

/** Key is the thread: 63 for M63. The gland's own sheet wins over these. */
export const GLANDS = publishedTable({
  source: 'common practice for metric cable glands, pitch 1.5 mm', recalled: false,
  quantity: 'mm', key: 'thread M', columns: ['plate hole', 'clamp min', 'clamp max'],
  rows: [
    [16, 16.5, 5, 10],
    [20, 20.5, 6, 12],
    [25, 25.5, 10, 18],
    [32, 32.5, 15, 25],
    [40, 40.5, 20, 32],
    [50, 50.5, 28, 38],
    [63, 63.5, 35, 48],
    [75, 75.5, 45, 60],
  ],
});
