import type { Building } from './family';
import { INFINITE } from './family';

/** Strings taken from where they hang now: x + m ≥ before. Their columns. */
export function movedColumns({ problem, b, strings, writers }: Building): number[] {
  return strings.flatMap(({ plane, unit, modules, column: own }) => {
    const was = problem.before.find((c) => c.plane === plane && c.unit === unit && c.modules === modules)?.strings ?? 0;
    if (was === 0) return [];
    const column = b.column(0, was, false);
    b.row(was, INFINITE, [
      [own, 1],
      [column, 1],
    ]);
    writers.push((v) => {
      v[column] = Math.max(0, was - (v[own] ?? 0));
    });
    return [column];
  });
}
