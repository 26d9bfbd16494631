import { chainBoundM } from './bound';
import type { Costs } from './costs';
import { lengthOfM } from './costs';
import { EXACT_MOST, shortestPath } from './exact';
import type { Budget } from './search';
import { searchedPath } from './search';

/** An order of devices from the first, with what it takes and how good it is. */
export interface ShortChain {
  readonly order: readonly number[];
  readonly lengthM: number;
  /** No other order is shorter. */
  readonly proven: boolean;
  /** What none can be shorter than, m. */
  readonly boundM: number;
}

/** A bound and a length that rounding alone tells apart are one, share. */
const ALIKE = 1e-9;

/** The shortest chain from device 0: exact up to 15 behind it, beyond that searched, with a bound. `end`: the device it has to end at, or null. */
export function shortestChain(costs: Costs, end: number | null, seed: number, budget: Budget): ShortChain {
  const exact = costs.length - 1 <= EXACT_MOST;
  const order = exact ? shortestPath(costs, end) : searchedPath(costs, end, seed, budget);
  const lengthM = lengthOfM(costs, order);
  const boundM = exact ? lengthM : chainBoundM(costs, end, lengthM);
  return { order, lengthM, proven: exact || lengthM - boundM <= ALIKE * lengthM, boundM };
}
