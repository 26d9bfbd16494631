import type { MilpSolver } from '../../kernel/milp';
import { withStrings } from '../../site/edits';
import type { PvString, SiteDesign } from '../../site/siteDesign';
import type { Violation } from '../verify';
import { verifyLayout } from '../verify';
import type { Conflict } from './explain';
import { explainConflict } from './explain';
import type { Remaining } from './lay';
import { remainingOf } from './lay';
import type { Objective } from './objective';
import { placeStrings } from './place';
import type { Breadth, LayoutCount, LayoutProblem } from './problem';
import { layoutProblem } from './problem';
import type { SolveOptions, SolvedLayout } from './solve';
import { solveLayout } from './solve';

/** A solved layout as people look at it, before it becomes the design. */
export interface DesignLayout {
  readonly strings: readonly PvString[];
  readonly objective: Objective;
  readonly bound: Objective;
  readonly proof: 'optimal' | 'gap';
  readonly gap: SolvedLayout['gap'];
  readonly secondsUsed: number;
  /** `preferred`: every length holds full power; `legal`: some do not, because that uses more modules. */
  readonly breadth: Breadth;
  readonly remaining: readonly Remaining[];
  /** What the independent verifier finds: empty, or it must not be taken over. */
  readonly violations: readonly Violation[];
}

export type DesignAnswer =
  | { readonly layout: DesignLayout; readonly missing: readonly []; readonly conflict: Conflict | null }
  | { readonly layout: null; readonly missing: readonly string[]; readonly conflict: Conflict | null };

/** Strings by plane, unit, tracker and input from counts, verified from the design alone against what the layout says of itself. */
export function designLayout(
  design: SiteDesign,
  problem: LayoutProblem,
  solved: Omit<SolvedLayout, 'counts'> & { readonly counts: readonly LayoutCount[] },
  breadth: Breadth,
): DesignLayout {
  const strings = placeStrings(problem, solved.counts, design.strings);
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
export function solveDesign(design: SiteDesign, solver: MilpSolver, options: SolveOptions): DesignAnswer {
  const preferred = layoutProblem(design, 'preferred');
  if (!preferred.problem) return { layout: null, missing: preferred.missing, conflict: null };
  const first = solveLayout(preferred.problem, solver, options);
  let best = designLayout(design, preferred.problem, first, 'preferred');
  if (first.objective.unused > 0) {
    const legal = layoutProblem(design, 'legal').problem;
    const left = Math.max(1, options.timeLimitS - first.secondsUsed);
    const second = legal && solveLayout(legal, solver, { ...options, timeLimitS: left });
    if (legal && second && second.objective.unused < first.objective.unused)
      best = designLayout(design, legal, second, 'legal');
  }
  const broken = best.violations.some((v) => v.predicate === 'V08');
  const conflict = best.objective.unused > 0 || broken ? explainConflict(design, solver) : null;
  return broken ? { layout: null, missing: [], conflict } : { layout: best, missing: [], conflict };
}
