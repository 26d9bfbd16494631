import { edges } from '../../../testing/edges';
import { hungUnit } from '../../../testing/subjects';
import { NEIGHBOURS } from './neighbours';

const beside = (xMm: number, yMm = 700, gaps: 'larger' | 'sum' = 'larger', body = {}) =>
  hungUnit({ others: [{ xMm, yMm, body }], wall: { gaps } });

/** Far enough over it, on a wall where nothing is to hang over another. */
const unstacked = hungUnit({ others: [{ xMm: 1000, yMm: 2060 }], wall: { stacking: false } });

edges(NEIGHBOURS, () => ({
  // Unit at 1000, 700 and 1050 × 660: 500 beside, 700 over. Mixed kinds take the larger; each its own, the sum.
  holds: [
    hungUnit(),
    beside(2550),
    beside(1000, 2060),
    beside(3050, 700, 'sum'),
    beside(2700, 700, 'larger', { besideMm: 650 }),
  ],
  stops: [
    beside(2549),
    beside(1000, 2059),
    beside(3049, 700, 'sum'),
    beside(2699, 700, 'larger', { besideMm: 650 }),
    beside(1000, 700),
    unstacked,
  ],
  without: {
    'size and clearances of the unit': hungUnit({ body: { widthMm: null } }),
    'size and clearances of the units beside it': beside(4000, 700, 'larger', { widthMm: null }),
  },
  numbers: [
    [beside(2600), { value: 550, limit: 500, margin: 10 }],
    [beside(1000, 2130), { value: 770, limit: 700, margin: 10 }],
  ],
  says: [
    [hungUnit(), /^alone on the wall$/],
    [beside(2600), /^to OTHER-0: 550 mm free, 500 mm asked for$/],
  ],
}));
