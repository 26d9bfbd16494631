import { edges } from '../../../testing/edges';
import { mountedReading } from '../../../testing/mountedReadings';
import { SEEN } from './seen';

edges(SEEN, () => ({
  holds: [mountedReading()],
  stops: [mountedReading({ hooksEngaged: false }), mountedReading({ clearancesKept: false })],
  without: {},
  says: [
    [mountedReading({ hooksEngaged: false }), /take the load up again/, /as drawn/],
    [mountedReading({ clearancesKept: false }), /both hooks/, /stands in its air/],
  ],
}));
