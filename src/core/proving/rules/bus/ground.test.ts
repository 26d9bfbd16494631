import { edges } from '../../../testing/edges';
import { busReading } from '../../../testing/busReadings';
import { BUS_GROUND } from './ground';

const at = (groundV: number) => busReading({ groundV });

// 7 V peak are 4.95 V rms.
edges(BUS_GROUND, () => ({
  holds: [at(0), at(1)],
  tight: [at(1.01), at(4.95)],
  stops: [at(4.96), at(230)],
  without: {},
  numbers: [[at(0.99), { value: 0.99, limit: 4.95, margin: 80 }]],
  says: [
    [at(0.5), /0.50 V rms/],
    [at(3), /3.00 V rms/, /find the earth fault/],
  ],
}));
