import { publishedTable } from '../../kernel/publishedTable';

export const STUD_HARDWARE = publishedTable({
  source: 'ISO 4032 nuts, ISO 7089 flat washers, DIN 127 spring washers, ISO 261 pitch',
  recalled: true,
  quantity: 'mm',
  key: 'thread M',
  columns: ['flat washer', 'spring washer', 'nut', 'pitch'],
  rows: [
    [6, 1.6, 1.6, 5.2, 1],
    [8, 1.6, 2, 6.8, 1.25],
    [10, 2, 2.2, 8.4, 1.5],
    [12, 2.5, 2.5, 10.8, 1.75],
    [16, 3, 3.5, 14.8, 2],
  ],
});
