import { requireWithin } from '../../../kernel/require';
import { ROUNDING } from '../../../kernel/rounding';
import type { BreakerKind } from '../../laid';
import { BREAKER_RATINGS_A } from './tables/breakers';

/** Ambient for which each kind is calibrated, °C (common practice; the breaker's own curve wins). */
const REFERENCE_C: Readonly<Record<BreakerKind, number>> = { 'moulded-case': 40, miniature: 30 };

/**
 * What is left of a breaker's rating in a warm board: K = 1 − 0.006·(θ − θ_ref) above θ_ref, 1 below.
 * θ ambient at the breaker, °C (−25…80, RangeError outside) · θ_ref 40 °C moulded-case, 30 °C miniature. Common practice.
 */
export function breakerAmbientFactor(kind: BreakerKind, ambientC: number): number {
  requireWithin('ambientC', ambientC, -25, 80, '°C');
  return 1 - 0.006 * Math.max(0, ambientC - REFERENCE_C[kind]);
}

/** The next preferred rating at or above a current, A (IEC 60059; recalled). Current A, from 0. Undefined past 1250 A. */
export function nextBreakerA(neededA: number): number | undefined {
  return BREAKER_RATINGS_A.find((rating) => rating >= neededA * (1 - ROUNDING));
}
