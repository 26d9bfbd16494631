import { requireWithin } from '../kernel/require';
import { BREAKER_RATINGS_A } from './tables/breakers';

/** Line current of a three-phase source, A: I = S/(√3·U). S 1e3…1e6 VA, U 200…1000 V line to line. Throws RangeError outside. */
export function lineCurrentA(apparentVa: number, lineV: number): number {
  requireWithin('apparentVa', apparentVa, 1e3, 1e6, 'VA');
  requireWithin('lineV', lineV, 200, 1000, 'V');
  return apparentVa / (Math.sqrt(3) * lineV);
}

export interface DesignCurrent {
  readonly currentA: number;
  /** True when the data sheet gives none and the low edge of the voltage window (0.90) stands in for it. */
  readonly provisional: boolean;
  /** Data-sheet current over S/(√3·U): 0.995 to 1.15 is plausible. */
  readonly ratio: number | null;
}

/** Design current I_b, A: the data sheet's output current, always; without one I_calc/0.90, provisional (common practice). */
export function designCurrent(apparentVa: number, lineV: number, dataSheetA: number | null): DesignCurrent {
  const byPowerA = lineCurrentA(apparentVa, lineV);
  return dataSheetA === null
    ? { currentA: byPowerA / 0.9, provisional: true, ratio: null }
    : { currentA: dataSheetA, provisional: false, ratio: dataSheetA / byPowerA };
}

export type BreakerKind = 'moulded-case' | 'miniature';

/** Ambient for which each kind is calibrated, °C (common practice; the breaker's own curve wins). */
const REFERENCE_C: Readonly<Record<BreakerKind, number>> = { 'moulded-case': 40, miniature: 30 };

/** What is left of a breaker's rating in a warm board: K = 1 − 0.006·(θ − θ_ref) above θ_ref, 1 below (common practice). */
export function breakerAmbientFactor(kind: BreakerKind, ambientC: number): number {
  requireWithin('ambientC', ambientC, -25, 80, '°C');
  return 1 - 0.006 * Math.max(0, ambientC - REFERENCE_C[kind]);
}

/** The next preferred rating at or above the current, A (IEC 60059; recalled). Undefined past 1250 A. */
export function nextBreakerA(neededA: number): number | undefined {
  return BREAKER_RATINGS_A.find((rating) => rating >= neededA * (1 - 1e-9));
}
