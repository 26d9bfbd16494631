import type { Verdict } from '../kernel/check';
import { worstOf } from '../kernel/check';
import type { Judged } from '../kernel/judgement';
import { ROUNDING } from '../kernel/rounding';
import type { GridCode, GridWindow } from '../site/gridCodes';

export interface VoltageVerdict {
  readonly verdict: Judged;
  /** The reading furthest from nominal, per unit. */
  readonly worstPu: number;
}

/** Line (and phase) voltages at rest: 0.95…1.05 holds, the code's window is tight, outside stops (inner band: common practice). */
export function judgeAcWindow(
  code: GridCode,
  nominalLineV: number,
  lineV: readonly number[],
  phaseV: readonly number[] = [],
): VoltageVerdict {
  const perUnit = [...lineV.map((v) => v / nominalLineV), ...phaseV.map((v) => (v * Math.sqrt(3)) / nominalLineV)];
  const one = (pu: number): Verdict =>
    !(pu >= code.vMinPu - ROUNDING && pu <= code.vMaxPu + ROUNDING)
      ? 'stop'
      : pu >= 0.95 && pu <= 1.05
        ? 'holds'
        : 'tight';
  const worstPu = perUnit.reduce((a, b) => (Math.abs(b - 1) > Math.abs(a - 1) ? b : a), 1);
  const verdict = worstOf(perUnit.map(one));
  return { verdict: verdict === 'unknown' ? 'stop' : verdict, worstPu };
}

/**
 * Voltage unbalance, negative over positive sequence, %: 100·√((1 − √(3 − 6β))/(1 + √(3 − 6β))), β = ΣU⁴/(ΣU²)².
 * U the three line voltages, V, not all 0 (NaN else). Source: IEC 61000-4-30 (recalled).
 */
export function unbalancePercent([a, b, c]: readonly [number, number, number]): number {
  const squares = a ** 2 + b ** 2 + c ** 2;
  const beta = (a ** 4 + b ** 4 + c ** 4) / squares ** 2;
  const q = Math.sqrt(Math.max(0, 3 - 6 * beta));
  return 100 * Math.sqrt(Math.max(0, (1 - q) / (1 + q)));
}

/** Unbalance that holds (EN 50160; recalled), and up to which it is tight (common practice), %. */
export const UNBALANCE_WANTED_PERCENT = 2;
const UNBALANCE_MOST_PERCENT = 3;

export function judgeUnbalance(percent: number): Judged {
  if (percent <= UNBALANCE_WANTED_PERCENT) return 'holds';
  return percent <= UNBALANCE_MOST_PERCENT ? 'tight' : 'stop';
}

/** Whether a frequency, Hz, lies in the window of the grid code, where that has one, and within 1 Hz of the survey's. */
export function frequencyHolds(window: GridWindow, frequencyHz: number, nominalHz: number | null): boolean {
  const { minHz, maxHz } = window;
  return (
    frequencyHz >= (minHz ?? 0) &&
    frequencyHz <= (maxHz ?? Infinity) &&
    (nominalHz === null || Math.abs(frequencyHz - nominalHz) < 1)
  );
}
