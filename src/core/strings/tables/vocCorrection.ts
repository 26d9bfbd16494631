import { publishedTable } from '../../kernel/publishedTable';

/** Correction of the open-circuit voltage of crystalline silicon. Key: minus the lowest temperature of the row, so that a colder morning takes the next row. */
export const VOC_CORRECTION = publishedTable({
  source: 'NFPA 70, Table 690.7(A); IEC 62548-1',
  recalled: true,
  quantity: 'factor on U_oc, no unit',
  key: 'minus the lower end of the row, °C; between rows the colder row',
  columns: ['factor'],
  rows: [
    [-20, 1.02],
    [-15, 1.04],
    [-10, 1.06],
    [-5, 1.08],
    [0, 1.1],
    [5, 1.12],
    [10, 1.14],
    [15, 1.16],
    [20, 1.18],
    [25, 1.2],
    [30, 1.21],
    [35, 1.23],
    [40, 1.25],
  ],
});
