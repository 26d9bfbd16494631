import { edges } from '../../../testing/edges';
import { poles } from '../../measure/earthFault';
import { EARTH_FAULT_PLACE } from './place';

const read = (plusV: number, minusV: number, openV = 870, modules = 20) => ({
  modules,
  place: poles({ modules, plusV, minusV, openV, sheetV: 1000, meterOhm: 10e6 }),
});

// Twenty modules, 642 and 214 V to earth of 870 V: module 5, 163 551 Ω (node equations, worked value).
edges(EARTH_FAULT_PLACE, () => ({
  holds: [read(0, 0), read(60, 26.9), read(0, 0, 500)],
  stops: [read(642, 214), read(60, 27), read(887.4, 0), read(0, 880)],
  without: { 'both poles to earth': read(642, 246) },
  numbers: [[read(642, 214), { value: 5 }]],
  says: [
    [read(642, 214), /5\.0 modules of 20 from the negative end: look between module 5 and 6$/, /= 164 kΩ$/],
    [read(887.4, 0), /at the negative home run and the first module$/, /= 0 kΩ$/],
    [read(0, 880), /at the last module and the positive home run$/, /= 0 kΩ$/],
    [read(0, 0), /no fixed fault/],
    [read(813.2, 42.8), /look between module 1 and 2$/, /kΩ$/],
    // At night both poles read nothing, whatever touches earth.
    [read(0, 0, 499), /the string in light/],
    [read(642, 246), /their sum is over 102 % of U_oc/],
  ],
}));
