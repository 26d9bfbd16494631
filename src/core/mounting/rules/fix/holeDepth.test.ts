import { edges } from '../../../testing/edges';
import { hungUnit } from '../../../testing/subjects';
import { HOLE_DEPTH } from './holeDepth';

const hole = (anchorDepthMm: number | null, over = {}) =>
  hungUnit({ wall: { anchorDepthMm, thicknessMm: 100, ...over } });

edges(HOLE_DEPTH, () => ({
  holds: [hole(70), hole(68, { anchorHoleMm: 16 })],
  stops: [hole(71), hole(69, { anchorHoleMm: 16 }), hole(20, { thicknessMm: 25 })],
  without: {
    'depth of the anchor’s hole': hole(null),
    'hole for the anchor': hole(65, { anchorHoleMm: null }),
    'thickness of the wall': hole(65, { thicknessMm: null }),
  },
  numbers: [[hole(63), { value: 63, limit: 70, margin: 10 }]],
  says: [[hole(65, { anchorHoleMm: 16 }), /^100 − max\(30, 2 · 16\) = 68 mm; hole 65 mm deep$/]],
}));
