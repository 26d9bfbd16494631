import { known, lacking } from '../../../kernel/answer';
import { edges } from '../../../testing/edges';
import { hungUnit } from '../../../testing/subjects';
import { DERATING } from './derating';

const at = (hottestC: number | null, altitudeM: number | null = 0) => hungUnit({ survey: { hottestC, altitudeM } });

const inRoom = (airC: number) =>
  hungUnit({ survey: { hottestC: 20, altitudeM: 0 }, air: known({ airC, words: 'Cellar: warm' }) });

edges(DERATING, () => ({
  holds: [at(45, 2000), at(38), inRoom(45)],
  tight: [inRoom(45.1), at(45.1), at(52.5), at(48, 2600)],
  stops: [inRoom(52.6), inRoom(Infinity), at(52.6), at(60.1), at(20, 3001)],
  without: { 'air at the unit': hungUnit({ air: lacking('air at the unit') }), altitude: at(38, null) },
  numbers: [
    [at(51), { value: 84, limit: 80, margin: 5 }],
    [at(48, 2600), { value: 86.48 }],
    [at(61), { value: 0 }],
  ],
  says: [
    [at(48, 2600), /^f = f_T · f_h = 0\.920 · 0\.940 at 48\.0 °C and 2600 m$/, /^outside, 48 °C$/],
    [at(61), /outside its range/, /./],
    [inRoom(50), /at 50\.0 °C/, /^Cellar: warm$/],
  ],
}));
