import type { MilpSolver } from '../../kernel/milp';
import { withLockedRestored, withStrings } from '../arrange';
import type { PvString } from '../../site/parts';
import type { StringsDesign } from '../part';
import type { Violation } from '../verify';
import { verifyLayout } from '../verify';
import type { Conflict } from './explain';
import { explainConflict } from './explain';
import type { Remaining } from './legalLayout';
import { remainingOf } from './legalLayout';
import type { Objective } from './objective';
import { assignInputs } from './assignInputs';
import type { Breadth, LayoutProblem } from './problem';
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
function layoutOf(design: StringsDesign, problem: LayoutProblem, solved: FoundLayout, breadth: Breadth): BestLayout {
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

/** Share of the time that the search may take: the rest is for saying why, where there is something to say. */
const SEARCH_SHARE = 0.8;

interface Found {
  readonly problem: LayoutProblem;
  readonly solved: FoundLayout;
  readonly breadth: Breadth;
}

/** The better of two widths: one that keeps every wish before one that does not, then fewer modules left over, then the narrower. */
function wider(narrow: Found, wide: Found): Found {
  if (!wide.solved.legal) return narrow;
  return !narrow.solved.legal || wide.solved.objective.unused < narrow.solved.objective.unused ? wide : narrow;
}

function search(design: StringsDesign, solver: MilpSolver, options: SearchOptions, preferred: LayoutProblem): Found {
  const narrow: Found = { problem: preferred, solved: levelSearch(preferred, solver, options), breadth: 'preferred' };
  if (narrow.solved.legal && narrow.solved.objective.unused === 0) return narrow;
  const legal = layoutProblem(design, 'legal').problem;
  const timeLimitS = Math.max(0.5, options.timeLimitS - narrow.solved.secondsUsed);
  return legal
    ? wider(narrow, {
        problem: legal,
        solved: levelSearch(legal, solver, { ...options, timeLimitS }),
        breadth: 'legal',
      })
    : narrow;
}

/**
 * The layout question of a design, answered: lengths that hold full power first; where modules stay over, the whole legal window, kept
 * only if fewer stay over. Every answer is verified before anybody sees it. Where demands contradict each other, which ones.
 * Time for all of it, the reasons too: `timeLimitS`.
 */
export function bestLayout(now: StringsDesign, solver: MilpSolver, options: SearchOptions): BestLayoutAnswer {
  const began = options.nowS();
  const design = withLockedRestored(now);
  const preferred = layoutProblem(design, 'preferred');
  if (!preferred.problem) return { layout: null, missing: preferred.missing, conflict: null };
  const searching = { ...options, timeLimitS: SEARCH_SHARE * options.timeLimitS };
  const { problem, solved, breadth } = search(design, solver, searching, preferred.problem);
  const layout = solved.legal ? layoutOf(design, problem, solved, breadth) : null;
  const left = options.timeLimitS - (options.nowS() - began);
  const conflict =
    layout === null || layout.objective.unused > 0
      ? explainConflict(design, solver, { nowS: options.nowS, timeLimitS: left })
      : null;
  return layout ? { layout, missing: [], conflict } : { layout: null, missing: [], conflict };
}
