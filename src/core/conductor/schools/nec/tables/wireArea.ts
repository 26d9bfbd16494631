import { publishedTable } from '../../../../kernel/publishedTable';

export const WIRE_AREA = publishedTable({
  source: 'NFPA 70, chapter 9, Table 5',
  recalled: true,
  quantity: 'area of one insulated wire, in²',
  key: 'area of the conductor, mm²',
  columns: ['THWN-2', 'XHHW-2'],
  rows: [
    [2.08, 0.0097, null],
    [3.31, 0.0133, null],
    [5.26, 0.0211, null],
    [8.37, 0.0366, null],
    [13.3, 0.0507, 0.059],
    [21.15, 0.0824, 0.0814],
    [26.67, 0.0973, 0.0962],
    [33.63, 0.1158, 0.1146],
    [42.41, 0.1562, 0.1534],
    [53.48, 0.1855, 0.1825],
    [67.43, 0.2223, 0.219],
    [85.03, 0.2679, 0.2642],
    [107.22, 0.3237, 0.3197],
    [126.68, 0.397, 0.3904],
    [152.01, 0.4608, 0.4536],
    [177.35, 0.5242, 0.5166],
    [202.68, 0.5863, 0.5782],
    [253.35, 0.7073, 0.6984],
    [304.02, 0.8676, 0.8709],
    [380.03, 1.0496, 1.0532],
    [506.71, 1.3478, 1.3519],
  ],
});

/** Inner area of raceways, in², whole (NFPA 70, chapter 9, Table 4; recalled). */
export const RACEWAY_AREA_IN2: Readonly<Record<string, Readonly<Record<'EMT' | 'PVC' | 'RMC', number>>>> = {
  '1/2': { EMT: 0.304, PVC: 0.285, RMC: 0.314 },
  '3/4': { EMT: 0.533, PVC: 0.508, RMC: 0.549 },
  '1': { EMT: 0.864, PVC: 0.832, RMC: 0.887 },
  '1-1/4': { EMT: 1.496, PVC: 1.453, RMC: 1.526 },
  '1-1/2': { EMT: 2.036, PVC: 1.986, RMC: 2.071 },
  '2': { EMT: 3.356, PVC: 3.291, RMC: 3.408 },
  '2-1/2': { EMT: 5.858, PVC: 4.695, RMC: 4.866 },
  '3': { EMT: 8.846, PVC: 7.268, RMC: 7.499 },
  '3-1/2': { EMT: 11.545, PVC: 9.737, RMC: 10.01 },
  '4': { EMT: 14.753, PVC: 12.554, RMC: 12.882 },
};
