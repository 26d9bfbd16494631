import { edges } from '../../../testing/edges';
import { loadedInverter } from '../../../testing/subjects';
import { DC_POWER } from './dcPower';

const loaded = (dcW: number | null, dcMaxW: number | null = 150_000) => loadedInverter(dcW, { type: { dcMaxW } });

edges(DC_POWER, () => ({
  holds: [loaded(150_000), loaded(90_000)],
  stops: [loaded(150_001)],
  without: { strings: loaded(null), 'maximum DC power of the inverter': loaded(90_000, null) },
  numbers: [[loaded(120_000), { value: 120, limit: 150, margin: 20 }]],
  says: [
    [loaded(90_000, null), /^Missing: maximum DC power of T100$/],
    [loaded(120_000), /^120\.00 kW on 150\.0 kW$/],
  ],
}));
