import { z } from 'zod';
import { pvStringSchema } from '../../site/parts';
import { withLockedRestored } from '../arrange';
import type { StringsDesign } from '../part';
import { leastLeft } from './cut';
import { objectiveOf } from './objective';
import { assignInputs } from './assignInputs';
import type { LayoutCount, LayoutProblem } from './problem';
import { layoutProblem } from './problem';
import { startLayout } from './start';

const remainingSchema = z.object({ planeId: z.string(), modules: z.number(), reason: z.string() });
export type Remaining = Readonly<z.infer<typeof remainingSchema>>;

export const layoutSchema = z.object({
  strings: z.array(pvStringSchema).readonly(),
  remaining: z
    .array(remainingSchema)
    .readonly()
    .meta({ description: 'Modules that hang on nothing, by plane, and why; empty when every module is used' }),
  missing: z
    .array(z.string())
    .readonly()
    .meta({ description: 'Inputs the layout cannot do without: with any of them missing nothing is laid out' }),
});
export type Layout = Readonly<z.infer<typeof layoutSchema>>;

/** Modules that counts leave over, by plane, with the reason: the closed form where no cut exists, else what ran out. */
export function remainingOf(
  problem: LayoutProblem,
  counts: readonly LayoutCount[],
  reasons: ReadonlyMap<number, string> = new Map(),
): Remaining[] {
  return problem.planes.flatMap((plane, p): Remaining[] => {
    const used = counts.reduce((sum, c) => sum + (c.plane === p ? c.strings * c.modules : 0), 0);
    const modules = plane.modules - used;
    if (modules <= 0) return [];
    return [{ planeId: plane.id, modules, reason: reasons.get(p) ?? reasonOf(problem, p) }];
  });
}

function reasonOf(problem: LayoutProblem, plane: number): string {
  const windows = (problem.windows[plane] ?? []).flatMap((w, u) => (w && !problem.units[u]?.empty ? [w] : []));
  if (windows.length === 0)
    return 'no inverter takes a string of this plane: no length is legal, the current is too high, or a lock forbids it';
  const hull = { min: Math.min(...windows.map((w) => w.min)), max: Math.max(...windows.map((w) => w.max)) };
  const modules = problem.planes[plane]?.modules ?? 0;
  if (leastLeft(modules, hull) > 0) return cutWords(modules, hull);
  return 'trackers, inputs or the maximum DC power of the inverters run out';
}

/** Why N modules cannot be cut whole, as a person would say it. */
export function cutWords(modules: number, { min, max }: { min: number; max: number }): string {
  const most = Math.floor(modules / min);
  if (most === 0) return `${modules} modules are fewer than the shortest string of ${min}`;
  const count = (n: number) => (n === 1 ? 'one string takes' : `${n} strings take`);
  const next = most + 1 === 1 ? 'one needs' : `${most + 1} need`;
  return `${modules} modules cannot be cut into strings of ${min} to ${max}: ${count(most)} at most ${most * max}, ${next} ${(most + 1) * min}`;
}

/**
 * A layout at once, legal and proved nothing about: full-power lengths first, and the whole legal window where that leaves fewer
 * modules over. Strings that are locked stay where they are.
 */
export function legalLayout(now: StringsDesign): Layout {
  const design = withLockedRestored(now);
  const preferred = layoutProblem(design, 'preferred');
  if (!preferred.problem) return { strings: [], remaining: [], missing: preferred.missing };
  const start = startLayout(preferred.problem);
  let [problem, best] = [preferred.problem, start];
  if (objectiveOf(problem, start.counts).unused > 0) {
    const legal = layoutProblem(design, 'legal').problem;
    const wider = legal && startLayout(legal);
    if (legal && wider && objectiveOf(legal, wider.counts).unused < objectiveOf(problem, start.counts).unused)
      [problem, best] = [legal, wider];
  }
  const frozen = new Set(problem.frozen.map((f) => f.stringId));
  const kept = design.strings.filter((s) => frozen.has(s.id));
  return {
    strings: assignInputs(problem, best.counts, kept),
    remaining: remainingOf(problem, best.counts, best.reasons),
    missing: [],
  };
}
