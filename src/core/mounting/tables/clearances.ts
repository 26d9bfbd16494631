import { publishedTable } from '../../kernel/publishedTable';

/** What units keep free where their sheet is silent. The sheet wins. */
export const CLEARANCES = publishedTable({
  source: 'common practice, classes to 79, 125 and 255 kW',
  recalled: false,
  quantity: 'mm',
  key: 'rated power, kW; the class that reaches it',
  columns: ['left', 'right', 'top', 'bottom', 'front', 'beside', 'stacked', 'floor'],
  rows: [
    [79, 300, 300, 500, 500, 1000, 300, 500, 400],
    [125, 500, 500, 500, 500, 1000, 500, 700, 600],
    [255, 700, 700, 700, 700, 1200, 700, 900, 700],
  ],
});
