import type { Verdict } from '../kernel/check';
import { worstOf } from '../kernel/check';
import type { GridCode } from '../site/gridCodes';

export interface AcWindow {
  readonly minV: number;
  readonly maxV: number;
}

/** The grid code's window of line voltage, V. */
export function lineWindow(code: GridCode, nominalLineV: number): AcWindow {
  return { minV: code.vMinPu * nominalLineV, maxV: code.vMaxPu * nominalLineV };
}

export interface VoltageVerdict {
  readonly verdict: Exclude<Verdict, 'unknown'>;
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
    !(pu >= code.vMinPu - 1e-9 && pu <= code.vMaxPu + 1e-9) ? 'stop' : pu >= 0.95 && pu <= 1.05 ? 'holds' : 'tight';
  const worstPu = perUnit.reduce((a, b) => (Math.abs(b - 1) > Math.abs(a - 1) ? b : a), 1);
  const verdict = worstOf(perUnit.map(one));
  return { verdict: verdict === 'unknown' ? 'stop' : verdict, worstPu };
}

/** Voltage unbalance (negative over positive sequence), %, from three line voltages (IEC 61000-4-30; recalled). */
export function unbalancePercent([a, b, c]: readonly [number, number, number]): number {
  const squares = a ** 2 + b ** 2 + c ** 2;
  const beta = (a ** 4 + b ** 4 + c ** 4) / squares ** 2;
  const q = Math.sqrt(Math.max(0, 3 - 6 * beta));
  return 100 * Math.sqrt(Math.max(0, (1 - q) / (1 + q)));
}

/** ≤ 2 % holds (EN 50160), ≤ 3 % is tight, above stops (common practice). */
export function judgeUnbalance(percent: number): Exclude<Verdict, 'unknown'> {
  return percent <= 2 ? 'holds' : percent <= 3 ? 'tight' : 'stop';
}
