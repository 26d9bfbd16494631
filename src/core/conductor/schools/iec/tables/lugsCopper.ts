import { publishedTable } from '../../../../kernel/publishedTable';

export const LUGS_COPPER = publishedTable({
  source: 'DIN 46235 compression lugs; palm thickness as twice the wall and crimp counts are common practice',
  recalled: true,
  quantity: 'mm, die code and counts',
  key: 'section, mm²',
  columns: [
    'die code',
    'barrel inner',
    'barrel outer',
    'barrel depth',
    'palm M8',
    'palm M10',
    'palm M12',
    'palm M16',
    'palm thickness bound',
    'crimps 5 mm die',
    'crimps wide die',
  ],
  rows: [
    [16, 8, 5.5, 8.5, 20, 13, 17, null, null, 3, 2, 1],
    [25, 10, 7, 10, 20, 16, 17, 19, null, 3, 2, 1],
    [35, 12, 8.2, 12.5, 20, 17, 19, 21, null, 4.3, 2, 1],
    [50, 14, 10, 14.5, 28, 20, 22, 24, 28, 4.5, 3, 1],
    [70, 16, 11.5, 16.5, 28, 24, 24, 24, 30, 5, 3, 1],
    [95, 18, 13.5, 19, 35, null, 28, 28, 32, 5.5, 4, 2],
    [120, 20, 15.5, 21, 35, null, 32, 32, 32, 5.5, 4, 2],
    [150, 22, 17, 23.5, 35, null, 34, 34, 34, 6.5, 4, 2],
    [185, 25, 19, 25.5, 40, null, 37, 37, 37, 6.5, 4, 2],
    [240, 28, 21.5, 29, 40, null, null, 42, 42, 7.5, 5, 2],
    [300, 32, 24.5, 32, 50, null, null, null, 48, 7.5, 5, 3],
  ],
});
