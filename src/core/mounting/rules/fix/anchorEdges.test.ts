import { edges } from '../../../testing/edges';
import type { Wall } from '../../part';
import { hungUnit } from '../../../testing/subjects';
import { ANCHOR_EDGES } from './anchorEdges';

/** Outer columns 125 mm inside the unit, rows 300 mm apart; so many mm of edge and an approval of 80 and 120 mm. */
const at = (edgeMm: number, wall: Partial<Wall> = {}) =>
  hungUnit({ at: { xMm: edgeMm - 125 }, wall: { edgeLeastMm: 80, spacingLeastMm: 120, ...wall } });

edges(ANCHOR_EDGES, () => ({
  holds: [
    at(80),
    at(1125),
    at(1, { edgeLeastMm: 0 }),
    at(80, { spacingLeastMm: 300 }),
    at(10, { material: 'solid masonry' }),
  ],
  stops: [at(79), at(0, { edgeLeastMm: 0 }), at(-10), at(1125, { spacingLeastMm: 301 })],
  without: {
    'what the wall is made of': at(80, { material: null }),
    'least edge by the approval': at(80, { edgeLeastMm: null }),
  },
  numbers: [
    [at(100), { value: 100, limit: 80, margin: 25 }],
    [at(100, { spacingLeastMm: 301 }), { value: 300, limit: 301 }],
  ],
  says: [
    [at(100), /^edge 100 mm, 80 mm at least$/, /^spacing 300 mm, 120 mm at least$/],
    [at(10, { material: 'solid masonry' }), /^solid masonry: edges are in the figures/],
    [at(80, { edgeLeastMm: null, spacingLeastMm: null }), /^Missing: least edge by the approval, least spacing/],
    [at(80, { embedmentMm: null }), /^Missing: embedment of the anchor$/],
  ],
}));
