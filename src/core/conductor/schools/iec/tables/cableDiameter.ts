import { publishedTable } from '../../../../kernel/publishedTable';

/** A real cable lies 3 % below to 10 % above these: enter the real diameter before drilling. */
export const CABLE_DIAMETER = publishedTable({
  source: 'built up from IEC 60502-1 thicknesses (Table 6 and Annex A)',
  recalled: true,
  quantity: 'overall diameter, mm',
  key: 'section, mm²',
  columns: ['core', '1-core', '3-core', '4-core', '5-core'],
  rows: [
    [4, 3.8, 6.6, 13.7, 14.7, 15.7],
    [6, 4.3, 7.1, 14.8, 16, 17.2],
    [10, 5.1, 7.9, 16.7, 18, 19.4],
    [16, 6.1, 8.9, 18.8, 20.4, 22.1],
    [25, 7.7, 10.5, 22.2, 24.2, 26.3],
    [35, 8.8, 11.6, 24.5, 26.8, 29.5],
    [50, 10.3, 13.1, 28.1, 30.8, 34.5],
    [70, 12, 14.8, 32.4, 35.7, 39.3],
    [95, 13.7, 16.7, 36.1, 39.9, 44.5],
    [120, 15.3, 18.3, 39.8, 44.6, 49.1],
    [150, 17.2, 20.4, 44.8, 49.6, 55.1],
    [185, 19.2, 22.6, 49.3, 55.1, 60.8],
    [240, 21.6, 25.2, 55.3, 61.3, 68],
    [300, 24, 27.6, 60.8, 67.4, 75.1],
    [400, 27.5, 31.5, null, null, null],
    [500, 30.7, 34.9, null, null, null],
    [630, 34.3, 38.7, null, null, null],
  ],
});
