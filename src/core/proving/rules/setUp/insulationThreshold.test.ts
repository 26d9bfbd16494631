import { edges } from '../../../testing/edges';
import { setUpReading } from '../../../testing/busReadings';
import { SET_UP_INSULATION } from './insulationThreshold';

const of = (insulationKohm: number, dcMaxV = 1100) => setUpReading({ insulationKohm, site: { dcMaxV } });

// 1100 V / 30 mA = 36.67 kΩ, 1500 V / 30 mA = 50 kΩ (IEC 62109-2, recalled).
edges(SET_UP_INSULATION, () => ({
  holds: [of(36.7), of(50, 1500), of(1000)],
  stops: [of(36.6), of(49.9, 1500), of(0)],
  without: {},
  numbers: [[of(60, 1500), { value: 60, limit: 50, margin: 20 }]],
  says: [[of(40), /1100 V \/ 30 mA = 36.7 kΩ; set: 40 kΩ/]],
}));
