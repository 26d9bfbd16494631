import { edges } from '../../../testing/edges';
import { onInput } from '../../../testing/subjects';
import { START } from './start';

/** 17 × 51.62 V × (1 − 0.00251 × 41.75) at 66.75 °C. */
const HOT_17_V = 17 * 51.62 * (1 - 0.00251 * 41.75);
const from = (startV: number | null) => onInput({ type: { startV } });

edges(START, () => ({
  holds: [from(HOT_17_V), from(250)],
  stops: [from(HOT_17_V + 0.01)],
  without: {
    'the window of the string': onInput({ survey: { hottestC: null } }),
    'start-up voltage of the inverter': from(null),
  },
  numbers: [[from(250), { value: HOT_17_V, limit: 250 }]],
  says: [
    [from(null), /^Missing: start-up voltage of T100$/],
    [from(250), /17 × 46\.21 V = 785\.6 V ≥ 250 V/],
  ],
}));
