import { edges } from '../../../testing/edges';
import { liftReading } from '../../../testing/liftReadings';
import { GUST } from './gust';

// 8 m/s with gear, 12 by hand (common practice).
edges(GUST, () => ({
  holds: [
    liftReading({ gustMs: 8 }),
    liftReading({ gustMs: 8, by: 'lift table' }),
    liftReading({ gustMs: 12, by: 'hand' }),
  ],
  stops: [
    liftReading({ gustMs: 8.1 }),
    liftReading({ gustMs: 8.1, by: 'lift table' }),
    liftReading({ gustMs: 12.1, by: 'hand' }),
  ],
  without: {},
  numbers: [[liftReading({ gustMs: 6 }), { value: 6, limit: 8, margin: 25 }]],
  says: [[liftReading({ by: 'hand' }), /^gusts of 3 m\/s, by hand to 12 m\/s$/]],
}));
