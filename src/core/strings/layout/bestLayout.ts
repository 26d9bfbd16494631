import type { MilpSolver } from '../../kernel/milp';
import { withStrings } from '../arrange';
import type { PvString } from '../../site/parts';
import type { StringsDesign } from '../part';
import type { Violation } from '../verifyLayout';
import { verifyLayout } from '../verifyLayout';
import type { Conflict } from './explain';
import { explainConflict } from './explain';
import type { Remaining } from './legalLayout';
import { remainingOf } from './legalLayout';
import type { Objective } from './objective';
import { assignInputs } from './assignInputs';
import type { Breadth, LayoutCount, LayoutProblem } from './problem';
import { layoutProblem } from './problem';
import type { SearchOptions, FoundLayout } from './levelSearch';
import { levelSearch } from './levelSearch';

/** A solved layout as people look at it, before it becomes the design. */
export interface BestLayout {
  readonly strings: readonly PvString[];
  readonly objective: Objective;
  readonly bound: Objective;
  readonly proof: 'optimal' | 'gap';
  readonly gap: FoundLayout['gap'];
  readonly secondsUsed: number;
  /** `preferred`: every length holds full power; `legal`: some do not, because that uses more modules. */
  readonly breadth: Breadth;
  readonly remaining: readonly Remaining[];
  /** What the independent verifier finds: empty, or it must not be taken over. */
  readonly violations: readonly Violation[];
}

export type BestLayoutAnswer =
  | { readonly layout: BestLayout; readonly missing: readonly []; readonly conflict: Conflict | null }
  | { readonly layout: null; readonly missing: readonly string[]; readonly conflict: Conflict | null };

/** Strings by plane, unit, tracker and input from counts, verified from the design alone against what the layout says of itself. */
function layoutOf(
  design: StringsDesign,
  problem: LayoutProblem,
  solved: Omit<FoundLayout, 'counts'> & { readonly counts: readonly LayoutCount[] },
  breadth: Breadth,
): BestLayout {
  const strings = assignInputs(problem, solved.counts, design.strings);
  const remaining = remainingOf(problem, solved.counts);
  const { objective, bound, proof, gap, secondsUsed } = solved;
  const violations = verifyLayout(withStrings(design, strings), {
    objective,
    bound,
    proof,
    unused: Object.fromEntries(remaining.map((r) => [r.planeId, r.modules])),
  });
  return { strings, objective, bound, proof, gap, secondsUsed, breadth, remaining, violations };
}

/**
 * The layout question of a design, answered: lengths that hold full power first; where modules stay over, the whole legal window, kept
 * only if fewer stay over. Every answer is verified before anybody sees it. Where demands contradict each other, which ones.
 */
export function bestLayout(design: StringsDesign, solver: MilpSolver, options: SearchOptions): BestLayoutAnswer {
  const preferred = layoutProblem(design, 'preferred');
  if (!preferred.problem) return { layout: null, missing: preferred.missing, conflict: null };
  const first = levelSearch(preferred.problem, solver, options);
  let best = layoutOf(design, preferred.problem, first, 'preferred');
  if (first.objective.unused > 0) {
    const legal = layoutProblem(design, 'legal').problem;
    const left = Math.max(1, options.timeLimitS - first.secondsUsed);
    const second = legal && levelSearch(legal, solver, { ...options, timeLimitS: left });
    if (legal && second && second.objective.unused < first.objective.unused)
      best = layoutOf(design, legal, second, 'legal');
  }
  const broken = best.violations.some((v) => v.predicate === 'V08');
  const conflict = best.objective.unused > 0 || broken ? explainConflict(design, solver) : null;
  return broken ? { layout: null, missing: [], conflict } : { layout: best, missing: [], conflict };
}
