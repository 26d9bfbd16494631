import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { BREAKER_RATING } from './breakerRating';

/** 160 A in 55 °C are 175.824 A: K = 1 − 0.006 × 15 (common practice). */
const breaker = (breakerA: number | null, breakerAmbientC: number | null = 55, breakerGroupFactor: number | null = 1) =>
  acRun({ run: { breakerA, breakerAmbientC, breakerGroupFactor } });

edges(BREAKER_RATING, () => ({
  holds: [breaker(160 / 0.91), breaker(200), breaker(160, 40), breaker(160, 20), breaker(200, 40, 0.8)],
  stops: [breaker(175.8), breaker(159.9, 40), breaker(199, 40, 0.8)],
  without: {
    breaker: breaker(null),
    'ambient and side-by-side factor at the breaker': breaker(200, null),
  },
  numbers: [[breaker(200), { value: 200, limit: 160 / 0.91 }]],
  says: [
    [breaker(200), /side by side 1; K = .* = 0\.910; I_b \/ 0\.910 = 175\.8 A$/, /^175\.8 A needed; next rating 200/],
  ],
}));
