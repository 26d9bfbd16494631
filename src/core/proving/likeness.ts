import type { Judged } from '../kernel/judgement';

export interface Likeness {
  readonly label: string;
  readonly verdict: Judged;
  /** Missing modules against the median of the sisters: d = n·(1 − V/V_ref). */
  readonly missingModules: number;
  readonly deviationPercent: number;
}

/** Labels by missing modules d, first match (common practice; the 5 % rule is IEC 62446-1). */
const LABELS: readonly (readonly [number, string])[] = [
  [-0.5, 'extra module'],
  [-0.25, 'unclear'],
  [0.25, 'ok'],
  [0.5, 'one bypass section'],
  [0.8, 'two bypass sections'],
  [1.3, 'one module missing'],
  [1.7, 'unclear'],
  [2.3, 'one module reversed or two missing'],
];

/** How a string reads against its sisters (same module, count, orientation, within ten minutes, itself left out). */
export function likeness(modules: number, voltageV: number, referenceV: number): Likeness {
  const d = modules * (1 - voltageV / referenceV);
  const share = voltageV / referenceV - 1;
  const label = LABELS.find(([upTo]) => d <= upTo)?.[1] ?? 'several modules';
  const verdict = Math.abs(d) <= 0.25 && Math.abs(share) <= 0.05 ? 'holds' : Math.abs(d) <= 0.5 ? 'tight' : 'stop';
  return { label, verdict, missingModules: d, deviationPercent: 100 * share };
}
