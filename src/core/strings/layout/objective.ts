import { ceiled } from '../../kernel/rounding';
import type { LayoutCount, LayoutProblem } from './problem';

/** The levels of the objective, most important first: each counts only among layouts equal in all before it. */
export const LEVELS = ['unused', 'balanceBand', 'distinctLengths', 'homeRunM', 'lengthSpread', 'doubled'] as const;
export type Level = (typeof LEVELS)[number];
export type Objective = Readonly<Record<Level, number>>;

/** Points of DC/AC ratio that count as balanced (common practice): it keeps useless lengths from buying exact balance. */
export const BALANCE_BAND = 0.05;

/** DC power over rated AC power of every unit. */
export function ratiosOf(problem: LayoutProblem, counts: readonly LayoutCount[]): number[] {
  const watts = problem.units.map(() => 0);
  for (const c of counts)
    watts[c.unit] = (watts[c.unit] ?? 0) + c.strings * c.modules * (problem.planes[c.plane]?.moduleW ?? 0);
  return problem.units.map((u, i) => (watts[i] ?? 0) / u.ratedW);
}

/**
 * What a layout is worth, from its counts alone.
 * unused modules · balanceBand: bands of 5 points past the first between the fullest and the emptiest unit · distinctLengths over the
 * classes · homeRunM both poles with slack, m · lengthSpread longest less shortest, summed over classes · doubled strings beyond one a tracker.
 */
export function objectiveOf(problem: LayoutProblem, counts: readonly LayoutCount[]): Objective {
  const used = counts.reduce((sum, c) => sum + c.strings * c.modules, 0);
  const ratios = ratiosOf(problem, counts).filter((_, i) => !problem.units[i]?.empty);
  const spread = ratios.length ? Math.max(...ratios) - Math.min(...ratios) : 0;
  const lengths = new Map<string, Set<number>>();
  const strings = problem.units.map(() => 0);
  let homeRunM = 0;
  for (const c of counts.filter((x) => x.strings > 0)) {
    const key = problem.planes[c.plane]?.classKey ?? '';
    const own = lengths.get(key) ?? new Set<number>();
    lengths.set(key, own.add(c.modules));
    strings[c.unit] = (strings[c.unit] ?? 0) + c.strings;
    homeRunM += c.strings * (problem.wayM[c.plane]?.[c.unit] ?? 0);
  }
  return {
    unused: problem.planes.reduce((sum, p) => sum + p.modules, 0) - used,
    balanceBand: Math.max(0, ceiled(spread / BALANCE_BAND - 1)),
    distinctLengths: [...lengths.values()].reduce((sum, s) => sum + s.size, 0),
    homeRunM,
    lengthSpread: [...lengths.values()].reduce((sum, s) => sum + Math.max(...s) - Math.min(...s), 0),
    doubled: problem.units.reduce((sum, u, i) => sum + Math.max(0, (strings[i] ?? 0) - u.trackers), 0),
  };
}

const SLACK: Readonly<Record<Level, number>> = {
  unused: 1e-6,
  balanceBand: 1e-6,
  distinctLengths: 1e-6,
  homeRunM: 1e-4,
  lengthSpread: 1e-6,
  doubled: 1e-6,
};

/** Below 0 where `a` is better, above where `b` is, 0 where they are worth the same. */
export function compareObjectives(a: Objective, b: Objective): number {
  const level = LEVELS.find((l) => Math.abs(a[l] - b[l]) > SLACK[l]);
  return level ? a[level] - b[level] : 0;
}
