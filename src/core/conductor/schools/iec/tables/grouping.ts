import { publishedTable } from '../../../../kernel/publishedTable';

/** Circuits laid together in air. Past 9 circuits the single-layer rows stay at their last value; bunched ends at 20. */
export const GROUPING_IN_AIR = publishedTable({
  source: 'IEC 60364-5-52:2009, Table B.52.17',
  recalled: true,
  quantity: 'C_g, no unit',
  key: 'circuits; between rows the next larger row',
  columns: [
    'bunched',
    'single layer, wall or unperforated tray',
    'single layer under ceiling',
    'single layer, perforated tray',
    'single layer, ladder or cleats',
  ],
  rows: [
    [1, 1, 1, 0.95, 1, 1],
    [2, 0.8, 0.85, 0.81, 0.88, 0.87],
    [3, 0.7, 0.79, 0.72, 0.82, 0.82],
    [4, 0.65, 0.75, 0.68, 0.77, 0.8],
    [5, 0.6, 0.73, 0.66, 0.75, 0.8],
    [6, 0.57, 0.72, 0.64, 0.73, 0.79],
    [7, 0.54, 0.72, 0.63, 0.73, 0.79],
    [8, 0.52, 0.71, 0.62, 0.72, 0.78],
    [9, 0.5, 0.7, 0.61, 0.72, 0.78],
    [12, 0.45, null, null, null, null],
    [16, 0.41, null, null, null, null],
    [20, 0.38, null, null, null, null],
  ],
});

export const GROUPING_DIRECT_IN_GROUND = publishedTable({
  source: 'IEC 60364-5-52:2009, Table B.52.18',
  recalled: true,
  quantity: 'C_g, no unit',
  key: 'circuits; between rows the next larger row',
  columns: ['touching', 'one diameter', '0.125 m', '0.25 m', '0.5 m'],
  rows: [
    [1, 1, 1, 1, 1, 1],
    [2, 0.75, 0.8, 0.85, 0.9, 0.9],
    [3, 0.65, 0.7, 0.75, 0.8, 0.85],
    [4, 0.6, 0.6, 0.7, 0.75, 0.8],
    [5, 0.55, 0.55, 0.65, 0.7, 0.8],
    [6, 0.5, 0.55, 0.6, 0.7, 0.8],
  ],
});

export const GROUPING_MULTICORE_IN_DUCTS = publishedTable({
  source: 'IEC 60364-5-52:2009, Table B.52.19',
  recalled: true,
  quantity: 'C_g, no unit',
  key: 'circuits; between rows the next larger row',
  columns: ['touching', '0.25 m', '0.5 m', '1.0 m'],
  rows: [
    [1, 1, 1, 1, 1],
    [2, 0.85, 0.9, 0.95, 0.95],
    [3, 0.75, 0.85, 0.9, 0.95],
    [4, 0.7, 0.8, 0.85, 0.9],
    [5, 0.65, 0.8, 0.85, 0.9],
    [6, 0.6, 0.8, 0.8, 0.9],
  ],
});

export const GROUPING_SINGLES_IN_DUCTS = publishedTable({
  source: 'IEC 60364-5-52:2009, Table B.52.19',
  recalled: true,
  quantity: 'C_g, no unit',
  key: 'circuits; between rows the next larger row',
  columns: ['touching', '0.25 m', '0.5 m', '1.0 m'],
  rows: [
    [1, 1, 1, 1, 1],
    [2, 0.8, 0.9, 0.9, 0.95],
    [3, 0.7, 0.8, 0.85, 0.9],
    [4, 0.65, 0.75, 0.8, 0.9],
    [5, 0.6, 0.7, 0.8, 0.9],
    [6, 0.6, 0.7, 0.8, 0.9],
  ],
});
