import type { MilpSolver } from '../../kernel/milp';
import { verifyWall } from '../verify/verifyWall';
import type { WallPlace, WallProblem, WallUnit } from './problem';
import { cableMm, gapBetween } from './problem';
import type { SearchTime, WallLayout } from './layoutAnswer';
import { wallProgram } from './wallProgram';

/** A cheaper layout is cheaper by more than this, mm. */
const EPS = 1e-6;
/** What a solver's bound is good to, share of itself. */
const BOUND_SHARE = 1e-6;

/** The layout that a search left unproved, taken on by a solver of its program: the cheaper of both, with the higher bound. What the solver says is verified. */
export function byProgram(problem: WallProblem, found: WallLayout, time: SearchTime, solver: MilpSolver): WallLayout {
  const { milp, placesOf, constantMm } = wallProgram(problem);
  const answer = solver(milp, { timeLimitS: time.timeLimitS });
  if (answer.status === 'infeasible')
    return found.places ? found : { places: null, cost: Infinity, bound: Infinity, proof: 'proved' };
  const places = answer.values ? placesOf(answer.values) : null;
  const cost = places && legal(problem, places) ? costOf(problem, places) : Infinity;
  const best = cost < found.cost - EPS ? { places, cost } : { places: found.places, cost: found.cost };
  const bound = Math.min(best.cost, Math.max(found.bound, (answer.bound + constantMm) * (1 - BOUND_SHARE)));
  const proved =
    answer.status === 'optimal' && Math.abs(best.cost - (answer.bound + constantMm)) <= BOUND_SHARE * best.cost;
  return proved ? { ...best, bound: best.cost, proof: 'proved' } : { ...best, bound, proof: 'gap' };
}

const costOf = (problem: WallProblem, places: readonly WallPlace[]): number =>
  problem.units.reduce((sum, u, i) => sum + u.cableWeight * cableMm(problem, u, places[i] as WallPlace), 0);

function legal(problem: WallProblem, places: readonly WallPlace[]): boolean {
  const hung = problem.units.map((u, i) => ({ ...u, ...(places[i] as WallPlace) }));
  const inRow = (a: WallUnit & WallPlace, b: WallUnit & WallPlace) =>
    Math.max(b.xMm - a.xMm - a.widthMm, a.xMm - b.xMm - b.widthMm) >= gapBetween(a, b, problem.gaps).besideMm;
  const around = { ...problem.face, obstructions: problem.obstructions, gaps: problem.gaps };
  return (
    verifyWall(around, hung).length === 0 &&
    (problem.stacking || hung.every((a, i) => hung.slice(i + 1).every((b) => inRow(a, b))))
  );
}
