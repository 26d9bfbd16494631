import { known, lacking } from '../../../kernel/answer';
import { edges } from '../../../testing/edges';
import { pairReading } from '../../../testing/busReadings';
import { PAIR_CAPACITANCE } from './capacitance';

const read = (pairNf: number | null) => pairReading({ pairNf, expectedNf: known(50) });
const unsaid = pairReading({ pairNf: 50, expectedNf: lacking('capacitor of the terminators') });

// Two of 25 nF; one of them missing is half.
edges(PAIR_CAPACITANCE, () => ({
  holds: [read(50), read(40), read(60)],
  stops: [read(39.9), read(60.1), read(25), read(0)],
  without: { 'capacitance across the pair': read(null), 'capacitance that the pair must show': unsaid },
  numbers: [[read(25), { value: 25, limit: 50 }]],
  says: [
    [read(25), /^25.0 nF read, 50.0 nF expected with the cable$/],
    [read(null), /capacitance across the pair at RPT-1, other side/],
    [unsaid, /capacitor of the terminators/],
  ],
}));
