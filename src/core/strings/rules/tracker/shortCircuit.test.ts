import { edges } from '../../../testing/edges';
import { onTracker } from '../../../testing/subjects';
import { SHORT_CIRCUIT } from './shortCircuit';

/** Two strings: 2 × 1.25 × 14.21 A; bifacial ones over bright ground × (1 + 0.8 × 0.1) (NFPA 70 690.8(A)(1), recalled). */
const TWO_A = 2 * 1.25 * 14.21;
const two = (trackerShortCircuitMaxA: number, over: object = {}) =>
  onTracker({ type: { trackerShortCircuitMaxA, ...over } }, [{}, {}]);

edges(SHORT_CIRCUIT, () => ({
  holds: [two(TWO_A), two(TWO_A / 1.25, { shortCircuitLimitIsStc: true })],
  stops: [two(TWO_A - 0.01), two(TWO_A / 1.25 - 0.01, { shortCircuitLimitIsStc: true })],
  without: {
    'rear-side share of the plane': onTracker({ plane: { rearShare: null } }, [{}, {}]),
  },
  numbers: [
    [two(44), { value: TWO_A, limit: 44 }],
    [onTracker({ plane: { rearShare: 0.1 } }, [{}, {}]), { value: TWO_A * 1.08 }],
  ],
  says: [
    [two(44), /1\.25 × 1\.000 × 14\.21 A × 2 = 35\.5/],
    [two(44, { shortCircuitLimitIsStc: true }), /1 × 1\.000/, /^k = 1/],
  ],
}));
