import { requireWithin } from '../kernel/require';
import type { Answer } from '../kernel/answer';
import { given } from '../kernel/answer';
import type { BreakerKind, SeatedBreaker } from './laid';

/** Ambient for which each kind is calibrated, °C (common practice; the breaker's own curve wins). */
const REFERENCE_C: Readonly<Record<BreakerKind, number>> = { 'moulded-case': 40, miniature: 30 };

/**
 * What is left of a breaker's rating in a warm board: K = 1 − 0.006·(θ − θ_ref) above θ_ref, 1 below.
 * θ ambient at the breaker, °C (−25…80, RangeError outside) · θ_ref 40 °C moulded-case, 30 °C miniature. Common practice, in every school.
 */
export function breakerAmbientFactor(kind: BreakerKind, ambientC: number): number {
  requireWithin('ambientC', ambientC, -25, 80, '°C');
  return 1 - 0.006 * Math.max(0, ambientC - REFERENCE_C[kind]);
}

/** What the seat of a breaker leaves of its rating: of the ambient alone, and with the neighbours. */
export const seatFactors = (seat: SeatedBreaker): Answer<{ readonly ambientFactor: number; readonly factor: number }> =>
  given(
    {
      'kind of breaker': seat.breakerKind,
      'ambient at the breaker': seat.breakerAmbientC,
      'side-by-side factor of the breaker': seat.breakerGroupFactor,
    },
    (k) => {
      const ambientFactor = breakerAmbientFactor(k['kind of breaker'], k['ambient at the breaker']);
      return { ambientFactor, factor: ambientFactor * k['side-by-side factor of the breaker'] };
    },
  );
