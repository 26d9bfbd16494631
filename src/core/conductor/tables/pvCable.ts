import { publishedTable } from '../../kernel/publishedTable';

export const PV_CABLE = publishedTable({
  source: 'resistance: IEC 60228, class 5 tinned; current: EN 50618, 60 °C ambient, 120 °C conductor',
  recalled: true,
  quantity: 'R20 Ω/km; I_z A',
  key: 'section, mm²',
  columns: ['R20', 'single free in air', 'single on a surface', 'two adjacent on a surface'],
  rows: [
    [2.5, 8.21, 41, 39, 33],
    [4, 5.09, 55, 52, 44],
    [6, 3.39, 70, 67, 57],
    [10, 1.95, 98, 93, 79],
    [16, 1.24, 132, 125, 107],
  ],
});
