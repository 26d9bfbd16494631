import { edges } from '../../../testing/edges';
import { hungUnit } from '../../../testing/subjects';
import { ENDS } from './ends';

const at = (xMm: number, yMm: number, wall = {}) => hungUnit({ at: { xMm, yMm }, wall });

edges(ENDS, () => ({
  // Unit 1050 × 660, 500 free all round, wall 8000 × 3000.
  holds: [at(500, 500), at(6450, 1840), at(0, 700, { leftOpen: true }), at(6950, 700, { rightOpen: true })],
  stops: [
    at(499, 700),
    at(6451, 700),
    at(1000, 499),
    at(1000, 1841),
    at(-1, 700, { leftOpen: true }),
    at(6951, 700, { rightOpen: true }),
  ],
  without: { 'size and clearances of the unit': hungUnit({ body: { widthMm: null } }) },
  numbers: [[at(600, 1000), { value: 600, limit: 500, margin: 20 }]],
  says: [
    [at(600, 1000), /^to the left end: 600 mm free, 500 mm asked for$/],
    [at(6400, 1000), /^to the right end: 550 mm free/],
    [at(2000, 600), /^to the lower edge: 600 mm/],
    [at(2000, 1740), /^to the upper edge: 600 mm/],
  ],
}));
