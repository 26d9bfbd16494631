import type { Costs } from './costs';

const ROUNDS = 400;
/** Rounds without a better bound after which the step is halved. */
const PATIENCE = 15;

interface Tree {
  readonly costM: number;
  readonly degree: Int32Array;
}

/** The shortest tree over all devices, each hop dearer by what its two ends are charged (Prim). */
function shortestTree(costs: Costs, charge: Float64Array): Tree {
  const n = costs.length;
  const degree = new Int32Array(n);
  const nearest = new Float64Array(n).fill(Infinity);
  const by = new Int32Array(n);
  const inTree = new Uint8Array(n);
  let [costM, at] = [0, 0];
  for (let joined = 1; joined < n; joined++) {
    inTree[at] = 1;
    const row = costs[at] as readonly number[];
    let next = -1;
    for (let v = 0; v < n; v++) {
      if (inTree[v]) continue;
      const hop = (row[v] as number) + (charge[at] as number) + (charge[v] as number);
      if (hop < (nearest[v] as number)) {
        nearest[v] = hop;
        by[v] = at;
      }
      if (next < 0 || (nearest[v] as number) < (nearest[next] as number)) next = v;
    }
    costM += nearest[next] as number;
    degree[next] = (degree[next] as number) + 1;
    degree[by[next] as number] = (degree[by[next] as number] as number) + 1;
    at = next;
  }
  return { costM, degree };
}

/**
 * What no chain from device 0 can be shorter than, m: a tree in which the first device, and a fixed end, have one hop and no other more than
 * two, LB(π) = MST(c_ij + π_i + π_j) − Σ d_v·π_v, π_v ≥ 0 where a degree is only a most. Any π is a true bound; the best of some is taken, by
 * the subgradient deg − d. `knownM`: the shortest chain known; `buses`: so many begin
 * at device 0, and it has as many hops. Source: Held and Karp 1970 (recalled), the one-tree as a tree of a path.
 */
export function chainBoundM(costs: Costs, end: number | null, knownM: number, buses = 1): number {
  const n = costs.length;
  if (n < 2) return 0;
  const hops = (v: number) => (v === 0 ? buses : v === end ? 1 : 2);
  const exactly = (v: number) => v === 0 || v === end;
  const charge = new Float64Array(n);
  let [bestM, stride, idle] = [0, 2, 0];
  for (let round = 0; round < ROUNDS; round++) {
    const { costM, degree } = shortestTree(costs, charge);
    let [allowed, square] = [0, 0];
    for (let v = 0; v < n; v++) {
      const most = hops(v);
      allowed += most * (charge[v] as number);
      square += ((degree[v] as number) - most) ** 2;
    }
    const boundM = costM - allowed;
    if (boundM > bestM) [bestM, idle] = [boundM, 0];
    else if (++idle === PATIENCE) [stride, idle] = [stride / 2, 0];
    if (square === 0 || knownM - boundM <= 0) break;
    const step = (stride * (knownM - boundM)) / square;
    for (let v = 0; v < n; v++) {
      const moved = (charge[v] as number) + step * ((degree[v] as number) - hops(v));
      charge[v] = exactly(v) ? moved : Math.max(0, moved);
    }
  }
  return Math.min(bestM, knownM);
}
