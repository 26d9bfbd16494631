import { edges } from '../../../testing/edges';
import { onInput } from '../../../testing/subjects';
import { FULL_POWER } from './fullPower';

const HOT_17_V = 17 * 42.8 * (1 - 0.00344 * 41.75);
const COLD_17_V = 17 * 42.8 * (1 + 0.00344 * 37);
const range = (fullPowerMinV: number | null, fullPowerMaxV: number | null) =>
  onInput({ type: { fullPowerMinV, fullPowerMaxV } });

edges(FULL_POWER, () => ({
  holds: [range(HOT_17_V, COLD_17_V), range(540, 850)],
  tight: [range(HOT_17_V + 0.01, 850), range(540, COLD_17_V - 0.01)],
  without: {
    'the window of the string': onInput({ survey: { coldestC: null } }),
    'full-power range of the inverter': range(540, null),
  },
  numbers: [
    [range(600, 1000), { value: 17, margin: (100 * (HOT_17_V - 600)) / 600 }],
    [range(540, 850), { value: 17, margin: (100 * (850 - COLD_17_V)) / 850 }],
  ],
  says: [
    [range(540, null), /^Missing: full-power range of T100$/],
    [range(null, 850), /^Missing: full-power range of T100$/],
    [range(540, 850), /./],
    [range(HOT_17_V + 5, 850), /./, /In the heat 623\.1 V lies under/],
    [range(540, COLD_17_V - 5), /./, /In the cold 820\.2 V lies over/],
  ],
}));
