import type { Building } from './family';
import { INFINITE } from './family';

/** Strings of each unit beyond one a tracker: Σ x − d ≤ T. Their columns. */
export function doubledColumns({ problem, b, strings, writers }: Building): number[] {
  return problem.units.map((unit, u) => {
    const column = b.column(0, INFINITE, false);
    const own = strings.filter((s) => s.unit === u);
    b.row(-INFINITE, unit.trackers, [...own.map((s) => [s.column, 1] as const), [column, -1]]);
    writers.push((v) => {
      v[column] = Math.max(0, own.reduce((s, x) => s + (v[x.column] ?? 0), 0) - unit.trackers);
    });
    return column;
  });
}
