import { generator } from '../../kernel/generator';

/** Spread of a tool that is read off, share of the target, and when equal figures are asked about (common practice). */
const SPREAD = 0.015;
const ASKED_FROM = 8;
const ASKED_BELOW = 0.01;

/** Error function, |error| ≤ 1.5e-7 (Abramowitz and Stegun, 7.1.26; recalled). */
function erf(x: number): number {
  const t = 1 / (1 + 0.3275911 * Math.abs(x));
  const poly = ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t;
  return Math.sign(x) * (1 - poly * Math.exp(-x * x));
}
function binomial(n: number, k: number): number {
  let c = 1;
  for (let i = 1; i <= k; i++) c = (c * (n - k + i)) / i;
  return c;
}

export interface SameValues {
  readonly count: number;
  readonly most: number;
  /** Chance that a wrench that is read off shows one figure so often; null for a click wrench, which stores its setting. */
  readonly chance: number | null;
  /** A question for the crew, never a verdict. */
  readonly ask: boolean;
}

/**
 * Whether equal torques want a question: P = Σ_{i≥m} C(n,i)pⁱ(1 − p)ⁿ⁻ⁱ, p = erf(q/(2√2·σ)), σ = 0.015 of the target, q the display step, N·m.
 * A click wrench stores its setting: equal values are right. Common practice.
 */
export function sameValues(
  valuesNm: readonly number[],
  stepNm: number,
  targetNm: number,
  mode: 'click' | 'readout',
): SameValues {
  const counts = new Map<number, number>();
  for (const v of valuesNm) counts.set(v, (counts.get(v) ?? 0) + 1);
  const [count, most] = [valuesNm.length, Math.max(0, ...counts.values())];
  if (mode === 'click') return { count, most, chance: null, ask: false };
  const p = erf(stepNm / (2 * Math.SQRT2 * SPREAD * targetNm));
  let chance = 0;
  for (let i = most; i <= count; i++) chance += binomial(count, i) * p ** i * (1 - p) ** (count - i);
  return { count, most, chance, ask: count >= ASKED_FROM && chance < ASKED_BELOW };
}

/** A joint with what was applied and what was wanted, N·m. */
export interface JointRead {
  readonly at: string;
  readonly appliedNm: number;
  readonly targetNm: number;
}
/** Joints that are read again where equal figures are asked about. */
const READ_AGAIN = 3;

/**
 * The question that equal torques raise, or null: asked of the joints of one target together. The joints to read again are picked by a seed,
 * so that anybody who has the reading finds the same. `stepNm`: display step of the tool; null while its sheet does not say, and nothing is asked.
 */
export function sameValuesQuestion(
  joints: readonly JointRead[],
  stepNm: number | null,
  mode: 'click' | 'readout',
  seed: number,
): string | null {
  if (stepNm === null) return null;
  for (const targetNm of new Set(joints.map((j) => j.targetNm))) {
    const like = joints.filter((j) => j.targetNm === targetNm);
    const { count, most, ask } = sameValues(
      like.map((j) => j.appliedNm),
      stepNm,
      targetNm,
      mode,
    );
    if (!ask) continue;
    const figure = like.find(
      ({ appliedNm }) => like.filter((j) => j.appliedNm === appliedNm).length === most,
    )?.appliedNm;
    const picks = picked(
      like.filter((j) => j.appliedNm === figure).map((j) => j.at),
      seed,
    );
    return `${most} of ${count} joints read ${figure} N·m. A tool that is read off usually varies. Was its setting typed? Change the mode, or read ${picks.join(', ')} again.`;
  }
  return null;
}

function picked(names: readonly string[], seed: number): string[] {
  const next = generator(seed);
  return names
    .map((name) => ({ name, draw: next() }))
    .sort((a, b) => a.draw - b.draw)
    .slice(0, READ_AGAIN)
    .map(({ name }) => name);
}
