import { known, lacking } from '../../../kernel/answer';
import { edges } from '../../../testing/edges';
import { pairReading } from '../../../testing/busReadings';
import type { PairReading } from '../../readings/busReading';
import { BUS_PAIR_OHM } from './ohms';

const read = (pairOhm: number | null, over: Partial<PairReading> = {}) => pairReading({ pairOhm, ...over });
const open = (pairOhm: number) => read(pairOhm, { expectedOhm: known(Infinity) });
const noSheet = read(64, { expectedOhm: lacking('section of the bus conductors') });

// 64 Ω within 5 % and half an ohm of the leads; 120 Ω is a terminator that is missing, 40 Ω one too many.
edges(BUS_PAIR_OHM, () => ({
  // Where a capacitor blocks direct current nothing but receivers may be across.
  holds: [read(64), read(67.6), read(60.4), open(1000), open(1e6)],
  stops: [open(999), open(60), read(67.8), read(60.2), read(120), read(40), read(0)],
  without: { 'ohms across the pair': read(null), 'ohms that the pair must show': noSheet },
  numbers: [
    [read(64), { value: 64, limit: 64 }],
    [open(60), { value: 60, limit: 1000 }],
  ],
  says: [
    [read(64), /64.0 Ω read, 64.0 Ω expected/, /As planned/],
    [open(60), /60.0 Ω read, an open pair expected/, /./],
    [read(null), /ohms across the pair at RPT-1, other side/],
    [noSheet, /section of the bus conductors/],
  ],
}));
