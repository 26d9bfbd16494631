import { edges } from '../../../testing/edges';
import { ENDS, carried } from '../../../testing/lifts';
import { hungUnit } from '../../../testing/subjects';
import { STAIRS } from './stairs';

/** So high a weight on so steep stairs tips over the lower carrier: the upper one would have to hold it down. */
const topHeavy = hungUnit({
  type: { massKg: 24 },
  body: { handles: ENDS, centreXMm: 525, centreYMm: 600 },
  lift: { stairsDeg: 60 },
});

edges(STAIRS, () => ({
  // 95 kg: upper 34.82958, lower 60.17042 kg at 35°, which nobody carries; 78.94 kg put 50 kg on the lower one, 39.47 kg 25.
  holds: [carried(0), carried(0, null), carried(35, 525, 39.47)],
  tight: [carried(35, 525, 39.48), carried(35, 525, 78.94)],
  stops: [carried(35, 525, 78.95), carried(35), topHeavy],
  without: { 'slope of stairs on the way': carried(null) },
  numbers: [[carried(35), { value: 60.1704221, limit: 50, margin: -20.3408442 }]],
  says: [
    [carried(0), /^no stairs on the way$/],
    [carried(35), /^35° of stairs, its right end ahead: upper 34\.8 kg, lower 60\.2 kg$/, /^a stair climber/],
    [carried(35, null), /^Missing: centre of gravity of T100$/],
  ],
}));
