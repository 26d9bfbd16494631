import { ROUNDING } from '../../../kernel/rounding';
import { BREAKER_RATINGS_A } from './tables/breakers';

/** The next preferred rating at or above a current, A (IEC 60059; recalled). Current A, from 0. Undefined past 1250 A. */
export function nextBreakerA(neededA: number): number | undefined {
  return BREAKER_RATINGS_A.find((rating) => rating >= neededA * (1 - ROUNDING));
}
