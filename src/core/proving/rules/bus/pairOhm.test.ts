import { lacking } from '../../../kernel/answer';
import { edges } from '../../../testing/edges';
import { busReading } from '../../../testing/busReadings';
import { BUS_PAIR_OHM } from './pairOhm';

const read = (pairOhm: number) => busReading({ pairOhm });

// 64 Ω within 5 % and half an ohm of the leads; 120 Ω is a terminator that is missing, 40 Ω one too many.
edges(BUS_PAIR_OHM, () => ({
  holds: [read(64), read(67.6), read(60.4)],
  stops: [read(67.8), read(60.2), read(120), read(40), read(0)],
  without: { 'ohms that the pair must show': busReading({ expectedOhm: lacking('section of the bus conductors') }) },
  numbers: [[read(64), { value: 64, limit: 64 }]],
  says: [
    [read(64), /64.0 Ω read, 64.0 Ω expected/, /As planned/],
    [busReading({ expectedOhm: lacking('section of the bus conductors') }), /section of the bus conductors/],
  ],
}));
