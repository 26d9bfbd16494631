import { byProgram } from './byProgram';
import type { SearchTime, WallLayout } from './layoutAnswer';
import type { Candidates } from './candidates';
import { candidatesFor } from './candidates';
import type { WallPlace, WallProblem, WallUnit } from './problem';
import { gapBetween, requireWallProblem } from './problem';
import { cheapestRow, leastCosts, rowsOf } from './rowBound';

interface Kind {
  readonly unit: WallUnit;
  /** Numbers of its units in the order given. */
  readonly units: number[];
  readonly at: Candidates;
  /** The least that k of them cost. */
  readonly least: readonly number[];
}

/** Nodes between two looks at the clock. */
const LOOK_EVERY = 512;
/** A cheaper layout is cheaper by more than this, mm. */
const EPS = 1e-6;

/** A search alone has so long where a solver stands by, s: what it proves it mostly proves at once. */
const SEARCH_FIRST_S = 0.5;

/**
 * The cheapest places for all units on one wall of a grid: a search, and where that does not prove its best soon, a solver of the wall's program.
 * At the time limit the best so far with the bound; never called optimal without proof. Throws RangeError on sizes that no wall has.
 */
export function wallLayout(problem: WallProblem, time: SearchTime): WallLayout {
  const { solver, timeLimitS, nowS } = time;
  if (!solver) return searched(problem, time);
  const began = nowS();
  const found = searched(problem, { nowS, timeLimitS: Math.min(SEARCH_FIRST_S, timeLimitS) });
  const leftS = timeLimitS - (nowS() - began);
  return found.proof === 'proved' || leftS <= 0
    ? found
    : byProgram(problem, found, { nowS, timeLimitS: leftS }, solver);
}

/**
 * A search for them: candidates by rising cost, depth first, cut where what is left cannot come in under the best. Units of one kind take rising
 * candidates.
 */
function searched(problem: WallProblem, time: SearchTime): WallLayout {
  requireWallProblem(problem);
  const kinds = kindsOf(problem);
  const rest = kinds.map((_, i) => kinds.slice(i + 1).reduce((sum, k) => sum + (k.least[k.units.length] as number), 0));
  const least = kinds.reduce((sum, k) => sum + (k.least[k.units.length] as number), 0);
  if (least === Number.POSITIVE_INFINITY) return { places: null, cost: least, bound: least, proof: 'proved' };
  const [only, other] = kinds;
  if (only && !other && rowsOf(only.unit, only.at, problem.gaps, problem.stacking) === 1)
    return inOneRow(problem, only);
  const until = time.nowS() + time.timeLimitS;
  const placed: { kind: Kind; index: number; at: number }[] = [];
  let best = { cost: Number.POSITIVE_INFINITY, places: null as WallPlace[] | null };
  let [nodes, late, rootBound] = [0, false, least];

  const free = (kind: Kind, at: number) => placed.every((p) => apart(problem, kind, at, p.kind, p.at));
  function visit(k: number, nth: number, from: number, cost: number): void {
    const kind = kinds[k];
    if (!kind) {
      best = { cost, places: placesOf(problem, placed) };
      return;
    }
    const left = kind.units.length - nth;
    for (let at = from; at < kind.at.cost.length; at++) {
      const own = Math.max(left * (kind.at.cost[at] as number), kind.least[left] as number);
      const lower = cost + own + (rest[k] as number);
      if (lower >= best.cost - EPS) return;
      if (k === 0 && nth === 0) rootBound = Math.max(rootBound, lower);
      if (++nodes % LOOK_EVERY === 0 && time.nowS() > until) late = true;
      if (late) return;
      if (!free(kind, at)) continue;
      placed.push({ kind, index: kind.units[nth] as number, at });
      const last = nth + 1 === kind.units.length;
      visit(last ? k + 1 : k, last ? 0 : nth + 1, last ? 0 : at + 1, cost + (kind.at.cost[at] as number));
      placed.pop();
      if (late) return;
    }
  }
  visit(0, 0, 0, 0);
  const bound = late ? Math.min(rootBound, best.cost) : best.cost;
  return { ...best, bound, proof: bound >= best.cost - EPS ? 'proved' : 'gap' };
}

/** One kind that cannot be stacked: the row programme is exact. */
function inOneRow(problem: WallProblem, kind: Kind): WallLayout {
  const row = cheapestRow(kind.unit, kind.at, kind.units.length, problem.gaps) ?? [];
  const placed = row.map((at, i) => ({ kind, index: kind.units[i] as number, at }));
  const cost = kind.least[kind.units.length] as number;
  return { places: placesOf(problem, placed), cost, bound: cost, proof: 'proved' };
}

function kindsOf(problem: WallProblem): Kind[] {
  const groups = new Map<string, number[]>();
  problem.units.forEach((u, i) => groups.set(u.kind, [...(groups.get(u.kind) ?? []), i]));
  return [...groups.values()].map((units) => {
    const unit = problem.units[units[0] as number] as WallUnit;
    const at = candidatesFor(problem, unit);
    return { unit, units, at, least: leastCosts(unit, at, units.length, problem.gaps, problem.stacking) };
  });
}

function apart(problem: WallProblem, a: Kind, i: number, b: Kind, j: number): boolean {
  const { besideMm, stackedMm } = gapBetween(a.unit, b.unit, problem.gaps);
  const [ax, bx] = [a.at.xMm[i] as number, b.at.xMm[j] as number];
  if (ax + a.unit.widthMm + besideMm <= bx || bx + b.unit.widthMm + besideMm <= ax) return true;
  if (!problem.stacking) return false;
  const [ay, by] = [a.at.yMm[i] as number, b.at.yMm[j] as number];
  return ay + a.unit.heightMm + stackedMm <= by || by + b.unit.heightMm + stackedMm <= ay;
}

function placesOf(problem: WallProblem, placed: readonly { kind: Kind; index: number; at: number }[]): WallPlace[] {
  const places: WallPlace[] = problem.units.map(() => ({ xMm: 0, yMm: 0 }));
  // Alike units from left to right, then from below: the order in which people number them.
  for (const kind of new Set(placed.map((p) => p.kind))) {
    const own = placed
      .filter((p) => p.kind === kind)
      .map(({ at }) => ({
        xMm: kind.at.xMm[at] as number,
        yMm: kind.at.yMm[at] as number,
      }));
    own.sort((a, b) => a.xMm - b.xMm || a.yMm - b.yMm);
    kind.units.forEach((index, i) => (places[index] = own[i] as WallPlace));
  }
  return places;
}
