import { edges } from '../../../testing/edges';
import { onInput } from '../../../testing/subjects';
import { HOT_VOLTAGE } from './hotVoltage';

/** 38 °C + 28.75 K by NMOT 43 °C; 17 × 42.8 V × (1 − (0.00298 + 0.00046) × 41.75) (γ − α, common practice). */
const HOT_17_V = 17 * 42.8 * (1 - 0.00344 * 41.75);
const from = (mpptMinV: number) => onInput({ type: { mpptMinV, fullPowerMinV: null, fullPowerMaxV: null } });

edges(HOT_VOLTAGE, () => ({
  holds: [from(HOT_17_V), from(200)],
  stops: [from(HOT_17_V + 0.01)],
  without: { 'the window of the string': onInput({ survey: { hottestC: null } }) },
  numbers: [[from(200), { value: HOT_17_V, limit: 200 }]],
  says: [[from(200), /17 × 36\.65 V = 623\.1 V ≥ 200 V/]],
}));
