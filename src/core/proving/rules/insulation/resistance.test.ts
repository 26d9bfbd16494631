import { edges } from '../../../testing/edges';
import { M575 } from '../../../testing/examples';
import { acInsulationReading, dcInsulationReading } from '../../insulation';
import { RESISTANCE } from './resistance';

/** 17 modules: 1.25 × 877.5 V asks for 1500 V and 1 MΩ (IEC 62446-1, 6.7, Table 2; recalled). */
const dc = (megohm: number, testV = 1500, modules = 17) => dcInsulationReading(M575, modules, { testV, megohm });
const ac = (megohm: number, testV = 500) => acInsulationReading(400, { testV, megohm });

edges(RESISTANCE, {
  holds: [dc(1), dc(200), ac(10), dc(1, 1000, 12)],
  tight: [ac(9.99), ac(1)],
  stops: [dc(0.99), ac(0.99), dc(50, 1501)],
  // Too low a voltage proves nothing, and over 10 kW a low reading is split before anything is condemned.
  without: { 'a test that proves something': dc(50, 1000) },
  numbers: [
    [dc(4), { value: 4, limit: 1, margin: 300 }],
    [dc(0.6, 250, 1), { value: 0.6, limit: 0.5, margin: 20 }],
  ],
});
