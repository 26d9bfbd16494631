import type { LayoutCount } from '../problem';
import { lengthsOn } from '../problem';
import type { Building } from './family';

const summed = (counts: readonly LayoutCount[], of: (c: LayoutCount) => boolean) =>
  counts.reduce((sum, c) => sum + (of(c) ? c.strings : 0), 0);

/** Strings x of plane, unit and length: at least those that stay, at most what the modules of the plane make. */
export function stringColumns({ problem, b, strings, writers }: Building): void {
  const { planes, units, frozen, windows } = problem;
  planes.forEach((plane, p) =>
    units.forEach((unit, u) => {
      for (const n of lengthsOn(problem, p, u)) {
        const stay = frozen.filter((f) => f.plane === p && f.unit === u && f.modules === n).length;
        const w = windows[p]?.[u];
        const inWindow = w && !unit.empty && n >= w.min && n <= w.max;
        const most = inWindow ? Math.floor(plane.modules / n) : stay;
        if (most < 1) continue;
        const column = b.column(stay, Math.max(most, stay), true);
        strings.push({ plane: p, unit: u, modules: n, column });
        writers.push((v, counts) => {
          v[column] = summed(counts, (c) => c.plane === p && c.unit === u && c.modules === n);
        });
      }
    }),
  );
}
