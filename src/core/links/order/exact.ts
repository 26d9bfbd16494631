import { requireWithin } from '../../kernel/require';
import type { Costs } from './costs';

/** So many devices behind the first are ordered exactly: n²·2ⁿ steps, some seven million. */
export const EXACT_MOST = 15;

/**
 * The shortest path from device 0 over all others, by dynamic programming over subsets: D[S][j] = min over k of D[S∖j][k] + c_kj. `end`: the
 * device it has to end at; null: wherever it is shortest. Of alike ones the first by the numbers. Source: Held and Karp 1962 (recalled).
 * Throws RangeError above 15 devices.
 */
export function shortestPath(costs: Costs, end: number | null): readonly number[] {
  const n = costs.length - 1;
  if (n < 1) return costs.length ? [0] : [];
  requireWithin('devices', n, 1, EXACT_MOST);
  const cost = (a: number, b: number) => costs[a]?.[b] ?? Infinity;
  const full = (1 << n) - 1;
  const best = new Float64Array((full + 1) * n).fill(Infinity);
  const before = new Int8Array((full + 1) * n).fill(-1);
  for (let j = 0; j < n; j++) best[(1 << j) * n + j] = cost(0, j + 1);
  for (let set = 1; set < full; set++)
    for (let j = 0; j < n; j++) {
      const to = best[set * n + j] as number;
      // What has to come last leads nowhere.
      if (to === Infinity || j + 1 === end) continue;
      for (let k = 0; k < n; k++) {
        if (set & (1 << k)) continue;
        const at = (set | (1 << k)) * n + k;
        const longer = to + cost(j + 1, k + 1);
        if (longer >= (best[at] as number)) continue;
        best[at] = longer;
        before[at] = j;
      }
    }
  let last = end === null ? 0 : end - 1;
  if (end === null)
    for (let j = 1; j < n; j++) if ((best[full * n + j] as number) < (best[full * n + last] as number)) last = j;
  const back: number[] = [];
  for (let set = full, j = last; j >= 0;) {
    back.push(j + 1);
    const earlier = before[set * n + j] as number;
    set &= ~(1 << j);
    j = earlier;
  }
  return [0, ...back.reverse()];
}
