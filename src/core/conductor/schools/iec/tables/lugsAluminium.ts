import { publishedTable } from '../../../../kernel/publishedTable';

/** Palm width and thickness of bimetal lugs are not standardised: they come from the lug sheet. */
export const LUGS_ALUMINIUM = publishedTable({
  source: 'DIN 46329 compression lugs',
  recalled: true,
  quantity: 'mm and die code',
  key: 'section, mm²',
  columns: ['die code', 'barrel inner'],
  rows: [
    [16, 12, 5.8],
    [25, 12, 6.8],
    [35, 14, 8],
    [50, 16, 9.8],
    [70, 18, 11.2],
    [95, 22, 13.2],
    [120, 22, 14.7],
    [150, 25, 16.3],
    [185, 28, 18.3],
    [240, 32, 21],
    [300, 34, 23.3],
  ],
});
