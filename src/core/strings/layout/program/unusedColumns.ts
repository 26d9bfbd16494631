import type { Building } from './family';
import { INFINITE } from './family';

/** Modules unused u of a plane: Σ n·x + u = N, and at least ⌈(N − u)/n_max⌉ strings, which tightens the relaxation. Their columns. */
export function unusedColumns({ problem, b, strings, writers }: Building): number[] {
  return problem.planes.map((plane, p) => {
    const column = b.column(0, problem.useAll ? 0 : plane.modules, true);
    const own = strings.filter((s) => s.plane === p);
    b.row(plane.modules, plane.modules, [...own.map((s) => [s.column, s.modules] as const), [column, 1]]);
    const longest = Math.max(0, ...own.map((s) => s.modules));
    // With k modules left over at most ⌊k/n_max⌋ strings fewer are needed: exact where nothing is left, valid everywhere.
    if (longest > 0)
      b.row(Math.ceil(plane.modules / longest), INFINITE, [...own.map((s) => [s.column, 1] as const), [column, 1]]);
    writers.push((v, counts) => {
      const used = counts.reduce((sum, c) => sum + (c.plane === p ? c.strings * c.modules : 0), 0);
      v[column] = plane.modules - used;
    });
    return column;
  });
}
