import { generator } from '../../kernel/generator';
import { requirePositive } from '../../kernel/require';
import { chainBoundM } from './bound';
import type { Costs } from './costs';
import { lengthOfM } from './costs';
import type { Budget } from './search';
import { searchedPath } from './search';

/** What every bus has to keep, and how many there are. */
export interface BusLimits {
  readonly buses: number;
  readonly mostUnits: number;
  readonly mostM: number;
}
/** Buses that all begin at device 0, the units of each in their order. */
export interface BusSplit {
  readonly buses: readonly (readonly number[])[];
  readonly lengthM: number;
  /** What no split over as many buses as are used can be shorter than, m. */
  readonly boundM: number;
}

/** Most units that are taken out and put back at once. */
const TAKEN_MOST = 18;
/** A place is passed over so often, so that the same units do not come to lie the same way again. */
const BLINK = 0.02;
/** Share by which a split may be longer than the best and still be gone on from, at the start; it ends at nothing. */
const DRIFT = 0.01;

type Routes = number[][];
const busM = (costs: Costs, units: readonly number[]): number => lengthOfM(costs, [0, ...units]);
const totalM = (costs: Costs, routes: Routes): number => routes.reduce((sum, r) => sum + busM(costs, r), 0);

/** One chain over all units cut into so many buses at the least cable, each from whichever of its ends is nearer; null where no cut keeps the limits. */
export function cutChain(
  costs: Costs,
  chain: readonly number[],
  { buses, mostUnits, mostM }: BusLimits,
): Routes | null {
  const n = chain.length;
  const cost = (a: number, b: number) => costs[a]?.[b] ?? Infinity;
  const least = Array.from({ length: buses + 1 }, () => new Float64Array(n + 1).fill(Infinity));
  const from = Array.from({ length: buses + 1 }, () => new Int32Array(n + 1).fill(-1));
  (least[0] as Float64Array)[0] = 0;
  for (let b = 1; b <= buses; b++)
    for (let end = 1; end <= n; end++) {
      let inner = 0;
      for (let begin = end - 1; begin >= Math.max(0, end - mostUnits); begin--) {
        if (begin < end - 1) inner += cost(chain[begin] as number, chain[begin + 1] as number);
        const own = inner + Math.min(cost(0, chain[begin] as number), cost(0, chain[end - 1] as number));
        if (inner > mostM) break;
        const sum = ((least[b - 1] as Float64Array)[begin] as number) + own;
        if (own > mostM || sum >= ((least[b] as Float64Array)[end] as number)) continue;
        (least[b] as Float64Array)[end] = sum;
        (from[b] as Int32Array)[end] = begin;
      }
    }
  const used = least.reduce((best, of, b) => ((of[n] as number) < (least[best]?.[n] as number) ? b : best), 0);
  if (least[used]?.[n] === Infinity) return null;
  const routes: Routes = [];
  for (let b = used, end = n; b > 0; b--) {
    const begin = from[b]?.[end] as number;
    const piece = chain.slice(begin, end);
    const turned = cost(0, piece.at(-1) as number) < cost(0, piece[0] as number);
    routes.unshift(turned ? piece.reverse() : piece);
    end = begin;
  }
  return routes;
}

/** Puts a unit where it costs least; false where no bus has room for it. */
function putBack(costs: Costs, routes: Routes, unit: number, limits: BusLimits, random: () => number): boolean {
  const row = costs[unit] as readonly number[];
  let [bestM, route, place] = [Infinity, -1, -1];
  for (const [r, units] of routes.entries()) {
    if (units.length >= limits.mostUnits) continue;
    const has = Number.isFinite(limits.mostM) ? busM(costs, units) : 0;
    for (let i = 0; i <= units.length; i++) {
      const [a, b] = [i ? (units[i - 1] as number) : 0, units[i]];
      const more =
        (row[a] as number) +
        (b === undefined ? 0 : (row[b] as number) - ((costs[a] as readonly number[])[b] as number));
      if (more >= bestM || has + more > limits.mostM || random() < BLINK) continue;
      [bestM, route, place] = [more, r, i];
    }
  }
  routes[route]?.splice(place, 0, unit);
  return route >= 0;
}

/** A neighbourhood taken out of every bus it lies on and put back, unit by unit in an order by chance; null where one finds no room. */
function remade(
  costs: Costs,
  routes: Routes,
  near: readonly (readonly number[])[],
  limits: BusLimits,
  random: () => number,
): Routes | null {
  const seed = 1 + Math.floor(random() * (costs.length - 1));
  const taken = (near[seed] as readonly number[]).slice(0, 1 + Math.floor(random() * TAKEN_MOST));
  const out = new Set(taken);
  const next = routes.map((units) => (units.some((u) => out.has(u)) ? units.filter((u) => !out.has(u)) : [...units]));
  const far = random() < 0.5;
  const keys = new Map(taken.map((u) => [u, far ? -((costs[0] as readonly number[])[u] as number) : random()]));
  const order = [...taken].sort((a, b) => (keys.get(a) as number) - (keys.get(b) as number));
  return order.every((unit) => putBack(costs, next, unit, limits, random)) ? next : null;
}

/**
 * Units split over buses that all begin at device 0, with little cable: one chain over all, cut at the least cost, then neighbourhoods taken out
 * and put back where they cost least, over all buses; longer ones are gone on from at first, and not any more at the end. The same seed and kicks,
 * the same answer. Throws RangeError where the units do not fit, or no split that keeps the length was found.
 */
export function splitOverBuses(costs: Costs, limits: BusLimits, seed: number, budget: Budget): BusSplit {
  const units = Math.max(0, costs.length - 1);
  requirePositive(
    { buses: limits.buses, mostUnits: limits.mostUnits, mostM: limits.mostM },
    'buses',
    'mostUnits',
    'mostM',
  );
  if (units > limits.buses * limits.mostUnits)
    throw new RangeError(
      `buses must have room for all units (got ${limits.buses} of ${limits.mostUnits} for ${units})`,
    );
  const random = generator(seed);
  const began = budget.nowS();
  const spent = () => budget.nowS() - began;
  const chain = searchedPath(costs, null, seed, { ...budget, kicks: 0 }).slice(1);
  const near = costs.map((row) =>
    costs
      .map((_, v) => v)
      .filter((v) => v !== 0)
      .sort((a, b) => (row[a] as number) - (row[b] as number)),
  );
  const cut = cutChain(costs, chain, limits);
  let routes: Routes = cut ?? [];
  while (routes.length < limits.buses) routes.push([]);
  if (!cut && !chain.every((unit) => putBack(costs, routes, unit, limits, () => 1)))
    throw new RangeError(`mostM must leave a way to split the units (got ${limits.mostM} m)`);
  let best = routes;
  let [nowM, bestM] = [totalM(costs, routes), totalM(costs, best)];
  for (let kick = 0; units > 1 && kick < budget.kicks && spent() < budget.timeLimitS; kick++) {
    const tried = remade(costs, routes, near, limits, random);
    if (!tried) continue;
    const triedM = totalM(costs, tried);
    const gone = Math.max(kick / budget.kicks, spent() / budget.timeLimitS);
    if (triedM >= nowM && triedM > bestM * (1 + DRIFT * (1 - gone))) continue;
    [routes, nowM] = [tried, triedM];
    if (triedM < bestM) [best, bestM] = [tried, triedM];
  }
  const used = best.filter((r) => r.length);
  return { buses: used, lengthM: bestM, boundM: chainBoundM(costs, null, bestM, used.length) };
}
