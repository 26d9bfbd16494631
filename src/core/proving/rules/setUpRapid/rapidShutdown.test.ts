import { setUpReading } from '../../../testing/busReadings';
import { edges } from '../../../testing/edges';
import { SET_UP_RAPID } from './rapidShutdown';

const on = (rapidShutdown: boolean | null) => setUpReading({ rapidShutdown });

edges(SET_UP_RAPID, () => ({
  holds: [on(true)],
  stops: [on(false)],
  without: { 'whether rapid shutdown is on': on(null) },
  says: [
    [on(true), /as listed/],
    [on(false), /^off/],
  ],
}));
