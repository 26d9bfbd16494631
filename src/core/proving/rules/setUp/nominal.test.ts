import { edges } from '../../../testing/edges';
import { setUpReading } from '../../../testing/busReadings';
import { SET_UP_NOMINAL } from './nominal';

edges(SET_UP_NOMINAL, () => ({
  holds: [setUpReading(), setUpReading({ nominalV: 480, nominalHz: 60, site: { lineV: 480, frequencyHz: 60 } })],
  stops: [setUpReading({ nominalV: 480 }), setUpReading({ nominalHz: 60 })],
  without: {
    'line voltage of the supply': setUpReading({ site: { lineV: null } }),
    'frequency of the supply': setUpReading({ site: { frequencyHz: null } }),
  },
  says: [[setUpReading({ nominalHz: 60 }), /set: 400 V, 60 Hz; supply: 400 V, 50 Hz/]],
}));
