import { edges } from '../../../testing/edges';
import { wayReading } from '../../../testing/busReadings';
import { WAY_UNITS } from './units';

const ethernet = (unitsOn: number, unitsAnswered: number, units: number | null = 18) =>
  wayReading({ unitsOn, unitsAnswered, planned: { label: 'Hall', units } });

edges(WAY_UNITS, () => ({
  // No plan of a radio names its units: as many as are on it.
  holds: [
    ethernet(18, 18),
    wayReading({ way: 'radio', unitsOn: 3, unitsAnswered: 3, planned: { label: 'Gate', units: undefined } }),
  ],
  stops: [ethernet(18, 17), ethernet(17, 17), ethernet(19, 19), ethernet(18, 0)],
  without: {
    'this way in the release': wayReading({ planned: null }),
    'units on the way by the plan': ethernet(18, 18, null),
    'units on the way': wayReading({ unitsOn: 0, unitsAnswered: 0, planned: { label: 'Gate', units: undefined } }),
  },
  numbers: [[ethernet(18, 17), { value: 17, limit: 18 }]],
  says: [
    [ethernet(18, 17), /^17 of 18 answer over Hall$/],
    [ethernet(17, 17), /^17 of 17 answer over Hall$/, /^18 are planned on it$/],
  ],
}));
