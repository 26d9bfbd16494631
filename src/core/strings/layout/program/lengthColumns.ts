import type { Building } from './family';
import { INFINITE, lengthsOf } from './family';

/** A length in use of a class, 0 or 1. */
export interface LengthColumn {
  readonly cls: number;
  readonly modules: number;
  readonly column: number;
}

/** Lengths in use z of a class: x ≤ ⌊N/n⌋·z, and no more of them than asked for. */
export function lengthColumns(building: Building): LengthColumn[] {
  const { problem, b, classes, classAt, strings, writers } = building;
  const lengths = classes.flatMap((_, cls) =>
    lengthsOf(building, cls).map((modules): LengthColumn => {
      const column = b.column(0, 1, true);
      problem.planes.forEach((plane, p) => {
        const own = strings.filter((s) => s.plane === p && s.modules === modules && classAt[p] === cls);
        const most = Math.max(Math.floor(plane.modules / modules), 1);
        if (own.length) b.row(-INFINITE, 0, [...own.map((s) => [s.column, 1] as const), [column, -most]]);
      });
      writers.push((v, counts) => {
        v[column] = counts.some((c) => c.strings > 0 && c.modules === modules && classAt[c.plane] === cls) ? 1 : 0;
      });
      return { cls, modules, column };
    }),
  );
  if (problem.maxLengths !== null)
    b.row(
      -INFINITE,
      problem.maxLengths,
      lengths.map((l) => [l.column, 1] as const),
    );
  return lengths;
}
