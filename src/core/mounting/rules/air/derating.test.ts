import { edges } from '../../../testing/edges';
import { hungUnit } from '../../../testing/subjects';
import { DERATING } from './derating';

const at = (hottestC: number | null, altitudeM: number | null = 0) => hungUnit({ survey: { hottestC, altitudeM } });

edges(DERATING, () => ({
  holds: [at(45, 2000), at(38)],
  tight: [at(45.1), at(52.5), at(48, 2600)],
  stops: [at(52.6), at(60.1), at(20, 3001)],
  without: { 'hot design temperature': at(null), altitude: at(38, null) },
  numbers: [
    [at(51), { value: 84, limit: 80, margin: 5 }],
    [at(48, 2600), { value: 86.48 }],
    [at(61), { value: 0 }],
  ],
  says: [
    [at(48, 2600), /^f = f_T · f_h = 0\.920 · 0\.940 at 48 °C and 2600 m$/],
    [at(61), /outside its range/],
  ],
}));
