import { publishedTable } from '../../../../kernel/publishedTable';

export const BENDING_312_6 = publishedTable({
  source: 'NFPA 70, Table 312.6(B), one wire per terminal',
  recalled: true,
  quantity: 'bending space, in',
  key: 'area, mm²',
  columns: ['space in'],
  rows: [
    [8.37, 1.5],
    [13.3, 2],
    [21.15, 3],
    [26.67, 3],
    [33.63, 3.5],
    [42.41, 4.5],
    [53.48, 5.5],
    [67.43, 6],
    [85.03, 6.5],
    [107.22, 7],
    [126.68, 8.5],
    [152.01, 10],
    [177.35, 12],
    [202.68, 13],
    [253.35, 14],
    [304.02, 15],
    [380.03, 17],
  ],
});
