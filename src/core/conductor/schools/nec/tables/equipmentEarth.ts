import { publishedTable } from '../../../../kernel/publishedTable';

export const EARTH_250_122 = publishedTable({
  source: 'NFPA 70, Table 250.122',
  recalled: true,
  quantity: 'least equipment grounding conductor, area in mm²',
  key: 'breaker, A; between rows the larger',
  columns: ['Cu', 'Al'],
  rows: [
    [15, 2.08, 3.31],
    [20, 3.31, 5.26],
    [60, 5.26, 8.37],
    [100, 8.37, 13.3],
    [200, 13.3, 21.15],
    [300, 21.15, 33.63],
    [400, 26.67, 42.41],
    [500, 33.63, 53.48],
    [600, 42.41, 67.43],
    [800, 53.48, 85.03],
    [1000, 67.43, 107.22],
    [1200, 85.03, 126.68],
    [1600, 107.22, 177.35],
    [2000, 126.68, 202.68],
    [2500, 177.35, 304.02],
    [3000, 202.68, 304.02],
    [4000, 253.35, 380.03],
  ],
});
