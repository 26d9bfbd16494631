import type { Objective } from '../strings/layout/objective';
import { compareObjectives, objectiveOf } from '../strings/layout/objective';
import type { LayoutCount, LayoutProblem } from '../strings/layout/problem';

/**
 * The best layout of a small problem by looking at every one: the reference of the tests, with nothing in common with the solver.
 * Goes through how many strings of each length each plane hangs on each unit, within the modules, trackers and power, those that stay among
 * them; wishes are asked of every whole layout. Null where no layout keeps them all.
 */
export function bruteForce(problem: LayoutProblem): Objective | null {
  const slots = problem.planes.flatMap((plane, p) =>
    problem.units.flatMap((unit, u) => {
      const w = problem.windows[p]?.[u];
      const stay = problem.frozen.filter((f) => f.plane === p && f.unit === u);
      const open = !w || unit.empty ? [] : Array.from({ length: w.max - w.min + 1 }, (_, i) => w.min + i);
      return [...new Set([...open, ...stay.map((f) => f.modules)])].map((modules) => ({
        plane: p,
        unit: u,
        modules,
        least: stay.filter((f) => f.modules === modules).length,
        most: open.includes(modules) ? Number.POSITIVE_INFINITY : stay.filter((f) => f.modules === modules).length,
      }));
    }),
  );
  let best: Objective | null = null;
  const chosen: LayoutCount[] = [];
  const left = problem.planes.map((p) => p.modules);
  const watts = problem.units.map(() => 0);

  function trackersFit(): boolean {
    return problem.units.every((unit, u) => {
      const strings = new Map<string, { n: number; parallel: number }>();
      chosen.forEach((c) => {
        if (c.unit !== u) return;
        const key = `${problem.planes[c.plane]?.classKey}|${c.modules}`;
        const parallel = problem.windows[c.plane]?.[u]?.parallel ?? 1;
        const g = strings.get(key) ?? { n: 0, parallel };
        strings.set(key, { n: g.n + c.strings, parallel: Math.min(g.parallel, parallel) });
      });
      const kept = (key: string) =>
        new Set(
          problem.frozen
            .filter((f) => f.unit === u && `${problem.planes[f.plane]?.classKey}|${f.modules}` === key)
            .map((f) => f.tracker),
        ).size;
      const needed = [...strings].reduce((sum, [key, g]) => sum + Math.max(kept(key), Math.ceil(g.n / g.parallel)), 0);
      return needed <= unit.trackers;
    });
  }

  function walk(at: number): void {
    if (!trackersFit()) return;
    const slot = slots[at];
    if (!slot) {
      const worth = objectiveOf(problem, chosen);
      const ratios = problem.units.map((u, i) => (watts[i] ?? 0) / u.ratedW);
      if (problem.maxLengths !== null && worth.distinctLengths > problem.maxLengths) return;
      if (problem.ratioMax !== null && Math.max(...ratios) > problem.ratioMax + 1e-9) return;
      const filled = ratios.filter((_, i) => !problem.units[i]?.empty);
      if (problem.ratioMin !== null && Math.min(...filled) < problem.ratioMin - 1e-9) return;
      if (problem.useAll && worth.unused > 0) return;
      if (best === null || compareObjectives(worth, best) < 0) best = worth;
      return;
    }
    const stringW = slot.modules * (problem.planes[slot.plane]?.moduleW ?? 0);
    for (let n = slot.least; n <= slot.most; n++) {
      const over =
        n * slot.modules > (left[slot.plane] ?? 0) ||
        (watts[slot.unit] ?? 0) + n * stringW > (problem.units[slot.unit]?.dcMaxW ?? Infinity) * (1 + 1e-9);
      if (over) break;
      left[slot.plane] = (left[slot.plane] ?? 0) - n * slot.modules;
      watts[slot.unit] = (watts[slot.unit] ?? 0) + n * stringW;
      if (n > 0) chosen.push({ plane: slot.plane, unit: slot.unit, modules: slot.modules, strings: n });
      walk(at + 1);
      if (n > 0) chosen.pop();
      left[slot.plane] = (left[slot.plane] ?? 0) + n * slot.modules;
      watts[slot.unit] = (watts[slot.unit] ?? 0) - n * stringW;
    }
  }
  walk(0);
  return best;
}
