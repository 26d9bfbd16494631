import { acReading } from '../../../testing/acReadings';
import { edges } from '../../../testing/edges';
import { UNBALANCE } from './unbalance';

/** Voltages of this unbalance, %: positive sequence 400 V, negative in phase with L1–L2. */
function unbalanced(percent: number) {
  const u = percent / 100;
  const side = 400 * Math.sqrt(1 - u + u * u);
  return acReading({ lineV: [400 * (1 + u), side, side] });
}

edges(UNBALANCE, () => ({
  holds: [acReading(), unbalanced(1.999)],
  tight: [unbalanced(2.001), unbalanced(2.999)],
  stops: [unbalanced(3.001)],
  without: {},
  numbers: [
    [unbalanced(1), { value: 1, limit: 2, margin: 50 }],
    [unbalanced(0.5), { margin: 75 }],
  ],
}));
