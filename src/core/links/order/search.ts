import { generator } from '../../kernel/generator';
import type { Costs } from './costs';
import { lengthOfM } from './costs';

/** What ends a search: kicks without more, or the time, s, of a clock that the caller brings. */
export interface Budget {
  readonly kicks: number;
  readonly timeLimitS: number;
  readonly nowS: () => number;
}

/** A gain that rounding could make is none, m. */
const GAIN_M = 1e-9;
const SEGMENT_MOST = 3;

/** From the first device always on to the nearest that is left; a fixed end stays for last. */
function nearestNeighbour(costs: Costs, end: number | null): number[] {
  const left = new Set(costs.map((_, v) => v).filter((v) => v !== 0 && v !== end));
  const order = [0];
  while (left.size) {
    const row = costs[order.at(-1) as number] as readonly number[];
    const next = [...left].reduce((a, b) => ((row[b] as number) < (row[a] as number) ? b : a));
    order.push(next);
    left.delete(next);
  }
  return end === null ? order : [...order, end];
}

/** Improves an order in place until no turned piece and no moved piece of up to three makes it shorter. The first, and a fixed end, stay. */
function improve(order: number[], costs: Costs, fixedEnd: boolean): void {
  const n = order.length;
  const last = fixedEnd ? n - 2 : n - 1;
  const c = (a: number, b: number) => (costs[a] as readonly number[])[b] as number;
  /** Cable between two places of the order; none behind its end. */
  const gap = (i: number, k: number) => (k < n ? c(order[i] as number, order[k] as number) : 0);

  const turned = () => {
    for (let i = 1; i < last; i++)
      for (let k = i + 1; k <= last; k++) {
        const gain = gap(i - 1, i) + gap(k, k + 1) - gap(i - 1, k) - (k + 1 < n ? gap(i, k + 1) : 0);
        if (gain <= GAIN_M) continue;
        for (let a = i, b = k; a < b; a++, b--) [order[a], order[b]] = [order[b] as number, order[a] as number];
        return true;
      }
    return false;
  };
  const moved = () => {
    for (let length = 1; length <= SEGMENT_MOST; length++)
      for (let i = 1; i + length - 1 <= last; i++) {
        const k = i + length - 1;
        const freed = gap(i - 1, i) + gap(k, k + 1) - (k + 1 < n ? gap(i - 1, k + 1) : 0);
        if (freed <= GAIN_M) continue;
        for (let j = 0; j <= last; j++) {
          if (j >= i - 1 && j <= k) continue;
          if (fixedEnd && j + 1 >= n) continue;
          const beyond = j + 1 < n;
          const open = beyond ? gap(j, j + 1) : 0;
          const straight = gap(j, i) + (beyond ? c(order[k] as number, order[j + 1] as number) : 0) - open;
          const back = gap(j, k) + (beyond ? c(order[i] as number, order[j + 1] as number) : 0) - open;
          if (freed - Math.min(straight, back) <= GAIN_M) continue;
          const piece = order.splice(i, length);
          if (back < straight) piece.reverse();
          order.splice(j > k ? j - length + 1 : j + 1, 0, ...piece);
          return true;
        }
      }
    return false;
  };
  while (turned() || moved());
}

/** Two neighbouring pieces of an order changed for one another: what no turn or short move undoes. */
function kicked(order: readonly number[], random: () => number, fixedEnd: boolean): number[] {
  const last = order.length - (fixedEnd ? 2 : 1);
  const cuts = Array.from({ length: 3 }, () => 1 + Math.floor(random() * last)).sort((a, b) => a - b);
  const [a, b, c] = cuts as [number, number, number];
  return [...order.slice(0, a), ...order.slice(b, c), ...order.slice(a, b), ...order.slice(c)];
}

/**
 * A short order of devices from 0: nearest neighbour, then turns and moves to a local optimum, then kicks from a seeded generator, each improved
 * and kept where it is not longer. The same seed and kicks, the same answer. `end`: the device it has to end at, or null.
 */
export function searchedPath(costs: Costs, end: number | null, seed: number, budget: Budget): readonly number[] {
  const random = generator(seed);
  const began = budget.nowS();
  let best = nearestNeighbour(costs, end);
  improve(best, costs, end !== null);
  let bestM = lengthOfM(costs, best);
  for (let kick = 0; kick < budget.kicks && budget.nowS() - began < budget.timeLimitS; kick++) {
    const tried = kicked(best, random, end !== null);
    improve(tried, costs, end !== null);
    const triedM = lengthOfM(costs, tried);
    if (triedM <= bestM) [best, bestM] = [tried, triedM];
  }
  return best;
}
