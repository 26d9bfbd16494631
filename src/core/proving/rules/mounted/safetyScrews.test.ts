import { edges } from '../../../testing/edges';
import { mountedReading } from '../../../testing/mountedReadings';
import { SAFETY_SCREWS } from './safetyScrews';

const HOLE = { xMm: 0, yMm: 0 };
const of = (safetyScrews: number, holes = 0) =>
  mountedReading({ safetyScrews, body: { safetyHoles: Array.from({ length: holes }, () => HOLE) } });

// The screw that is forgotten is the one on the far side: two where the sheet says nothing, and where it shows one.
edges(SAFETY_SCREWS, () => ({
  holds: [of(2), of(3), of(2, 1), of(4, 4)],
  stops: [of(1), of(0), of(1, 1), of(3, 4)],
  numbers: [[of(3, 4), { value: 3, limit: 4 }]],
  without: {},
  says: [[of(1), /^1 in, 2 wanted$/]],
}));
