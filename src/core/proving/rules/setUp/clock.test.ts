import { edges } from '../../../testing/edges';
import { setUpReading } from '../../../testing/busReadings';
import { SET_UP_CLOCK } from './clock';

const ahead = (clockAheadS: number, zoneSet = true) => setUpReading({ clockAheadS, zoneSet });

edges(SET_UP_CLOCK, () => ({
  holds: [ahead(0), ahead(60), ahead(-60)],
  stops: [ahead(61), ahead(-61), ahead(0, false)],
  without: {},
  numbers: [[ahead(-45), { value: 45, limit: 60, margin: 25 }]],
  says: [
    [ahead(-45), /^-45 s ahead/],
    [ahead(0, false), /^0 s ahead/, /zone is not set/],
  ],
}));
