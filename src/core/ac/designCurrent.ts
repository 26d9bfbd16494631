import { requireWithin } from '../kernel/require';

/**
 * Line current of a three-phase source, A: I = S/(√3·U).
 * S apparent power, VA (1e3…1e6) · U line to line, V (200…1000). Throws RangeError outside, so that kVA typed for VA is seen.
 */
export function lineCurrentA(apparentVa: number, lineV: number): number {
  requireWithin('apparentVa', apparentVa, 1e3, 1e6, 'VA');
  requireWithin('lineV', lineV, 200, 1000, 'V');
  return apparentVa / (Math.sqrt(3) * lineV);
}

/** Low edge of the voltage window at which a unit still feeds its apparent power (common practice). */
const LOW_EDGE = 0.9;

export interface DesignCurrent {
  readonly currentA: number;
  /** S/(√3·U) of the sheet, A. */
  readonly byPowerA: number;
  /** True when the data sheet gives none and the low edge of the voltage window stands in for it. */
  readonly provisional: boolean;
  /** The current over S/(√3·U): 0.995 to 1.15 is plausible for one off a data sheet. */
  readonly ratio: number;
}

/** Design current I_b, A: the data sheet's output current, always; without one I_calc/0.90, provisional (common practice). Throws as `lineCurrentA`. */
export function designCurrent(apparentVa: number, lineV: number, dataSheetA: number | null): DesignCurrent {
  const byPowerA = lineCurrentA(apparentVa, lineV);
  const currentA = dataSheetA ?? byPowerA / LOW_EDGE;
  return { currentA, byPowerA, provisional: dataSheetA === null, ratio: currentA / byPowerA };
}
