import { edges } from '../../../testing/edges';
import { liftReading } from '../../../testing/liftReadings';
import { READY } from './ready';

edges(READY, () => ({
  holds: [liftReading()],
  stops: [
    liftReading({ wayFree: false }),
    liftReading({ nobodyBelow: false }),
    liftReading({ gearSeen: false }),
    liftReading({ handlesReady: false }),
  ],
  without: {},
  says: [
    [liftReading({ nobodyBelow: false, gearSeen: false }), /^people may come under/, /^the gear was not/],
    [liftReading({ wayFree: false, handlesReady: false }), /^the way is not free$/, /^handles or eye bolts/],
  ],
}));
