import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import { fixed } from '../../kernel/quantity';
import type { Board } from '../../site/parts';
import type { StaysIn } from './staysIn';
import { DELAY_LEAST_S } from './staysIn';

/** Discrimination by the makers' curves of time over current. */

/** A point of a curve: at this current, A, this time, s. */
export interface CurvePoint {
  readonly currentA: number;
  readonly timeS: number;
}
/** Points by rising current; between them the curve is straight over both logarithms, as it is printed. */
export type Curve = readonly CurvePoint[];

/** How the main and the breakers of the runs are given: the edge of its band that opens first, and the edges of theirs that clear last. */
export type GivenCurves = Pick<Board, 'mainCurve' | 'branchCurves'>;

const byCurrent = (points: Curve): Curve => [...points].sort((a, b) => a.currentA - b.currentA);

/** The points of the main as its form holds them. */
export const mainCurveOf = ({ mainCurve }: GivenCurves): Curve =>
  byCurrent(mainCurve.map(({ currentA, opensS }) => ({ currentA, timeS: opensS })));

/** Those of a branch's breaker of one rating, A. */
export const branchCurveOf = ({ branchCurves }: GivenCurves, breakerA: number): Curve =>
  byCurrent(branchCurves.flatMap((p) => (p.breakerA === breakerA ? [{ currentA: p.currentA, timeS: p.clearsS }] : [])));

/** Two points at least, no current twice, and no longer time at a larger current: what is not so is no trip curve. */
const isTripCurve = (curve: Curve): boolean =>
  curve.length > 1 &&
  curve.every(({ currentA, timeS }, i) => {
    const last = curve[i - 1];
    return !last || (currentA > last.currentA && timeS <= last.timeS);
  });

/** Time of a curve at a current, s. Left of it no sooner than at its first point, right of it no later than at its last. */
function timeAt(curve: Curve, currentA: number): number {
  const next = curve.findIndex((p) => p.currentA >= currentA);
  if (next <= 0) return (curve.at(next) as CurvePoint).timeS;
  const [a, b] = [curve[next - 1] as CurvePoint, curve[next] as CurvePoint];
  const share = Math.log(currentA / a.currentA) / Math.log(b.currentA / a.currentA);
  return a.timeS * (b.timeS / a.timeS) ** share;
}

/**
 * The current, A, up to which the main opens later than a branch is through, from the first point of the branch on; null where it never does, Infinity
 * where they do not meet as far as the main is given, also where the branch begins behind that. Below 0.1 s times say nothing: there energy decides, by the makers' tables (common practice).
 */
export function apartTo(main: Curve, branch: Curve): number | null {
  const fromA = (branch[0] as CurvePoint).currentA;
  const endA = (main.at(-1) as CurvePoint).currentA;
  const at = [...new Set([fromA, ...main.map((p) => p.currentA), ...branch.map((p) => p.currentA)])]
    .filter((a) => a >= fromA && a <= endA)
    .sort((a, b) => a - b);
  /** How far apart in decades; negative where the main may be first. */
  const apart = (a: number) => Math.log(timeAt(main, a) / Math.max(timeAt(branch, a), DELAY_LEAST_S));
  let last: { readonly a: number; readonly by: number } | null = null;
  for (const a of at) {
    const by = apart(a);
    if (by <= 0) return last && last.a * (a / last.a) ** (last.by / (last.by - by));
    last = { a, by };
  }
  return at.length && !last ? null : Infinity;
}

/** Ratings of branches, A, with their curves; null while a curve of the main or of one of them is not given: then their settings tell. */
function givenCurves(board: GivenCurves, ratingsA: readonly number[]) {
  const main = mainCurveOf(board);
  const branches = [...new Set(ratingsA)].map((breakerA) => ({ breakerA, curve: branchCurveOf(board, breakerA) }));
  return main.length && branches.length && branches.every((b) => b.curve.length) ? { main, branches } : null;
}

/** The current, A, up to which the main leaves a fault to every branch by the curves; null while they are not all given. */
export function apartByCurves(board: GivenCurves, ratingsA: readonly number[], faultA: number): Answer<StaysIn> | null {
  const given = givenCurves(board, ratingsA);
  if (!given) return null;
  const { main, branches } = given;
  const odd = [
    ...(isTripCurve(main) ? [] : ['curve of the main breaker that falls']),
    ...branches.flatMap((b) => (isTripCurve(b.curve) ? [] : [`curve of a ${b.breakerA} A breaker that falls`])),
  ];
  if (odd.length) return lacking(...odd);
  const [first] = main as readonly [CurvePoint];
  // Below its first point a main opens no sooner than there; how much later nobody has said.
  const early = branches
    .flatMap((b) => b.curve.slice(0, 1))
    .filter((p) => p.currentA < first.currentA && p.timeS >= first.timeS);
  if (early.length)
    return lacking(`curve of the main breaker from ${fixed(Math.min(...early.map((p) => p.currentA)), 0)} A`);
  const late = branches.filter((b) => (b.curve[0] as CurvePoint).currentA > faultA);
  if (late.length) return lacking(...late.map((b) => `curve of a ${b.breakerA} A breaker below ${fixed(faultA, 0)} A`));
  const apart = branches.map((b) => ({ ...b, toA: apartTo(main, b.curve) ?? 0 }));
  const nearest = apart.reduce((a, b) => (b.toA < a.toA ? b : a));
  const endA = (main.at(-1) as CurvePoint).currentA;
  if (nearest.toA === Infinity && endA < faultA)
    return lacking(`curve of the main breaker up to ${fixed(faultA, 0)} A`);
  const from = Math.max(...branches.map((b) => (b.curve[0] as CurvePoint).currentA / b.breakerA));
  return known({
    toA: nearest.toA,
    onOverload: from <= OVERLOAD ? nearest.toA > 0 : null,
    words:
      nearest.toA === Infinity
        ? 'by their curves the main opens after every branch is through, at whatever can flow'
        : nearest.toA === 0
          ? `by their curves the main may open before a branch of ${nearest.breakerA} A from the beginning`
          : `by their curves the main opens after a branch of ${nearest.breakerA} A is through up to ${fixed(nearest.toA, 0)} A`,
  });
}

/** A branch given from so many times its rating tells of overload too. */
const OVERLOAD = 2;
