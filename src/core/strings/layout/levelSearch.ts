import type { MilpRow, MilpSolver } from '../../kernel/milp';
import type { Level, Objective } from './objective';
import { LEVELS, compareObjectives, objectiveOf } from './objective';
import type { LayoutCount, LayoutProblem } from './problem';
import { countsFit, lengthsOn } from './problem';
import type { LayoutProgram } from './program';
import { layoutProgram, rowAtMost, unusedBound } from './program';
import { goodLayout, startLayout } from './start';

export interface SearchProgress {
  /** What is being worked on, in words. */
  readonly doing: string;
  readonly level: Level;
  readonly counts: readonly LayoutCount[];
  readonly objective: Objective;
  readonly secondsUsed: number;
}

export interface SearchOptions {
  readonly timeLimitS: number;
  /** Seconds of any clock that runs: core has none of its own. */
  readonly nowS: () => number;
  readonly onProgress?: (progress: SearchProgress) => void;
}

export interface FoundLayout {
  readonly counts: readonly LayoutCount[];
  readonly objective: Objective;
  /** Whether it keeps every wish and limit. Where none was found that does, no other figure here says anything. */
  readonly legal: boolean;
  /** What is proved: no layout is better than this on a level while it equals the objective on every level before. */
  readonly bound: Objective;
  /** `optimal` only where bound and objective agree on every level. */
  readonly proof: 'optimal' | 'gap';
  /** First level on which more than the bound is left, and by how much of it at the most, per cent. Null when proved best. */
  readonly gap: { readonly level: Level; readonly percent: number } | null;
  readonly secondsUsed: number;
}

/** Share of the time that exchanges from many cuts may take before the program is tried. */
const SHARING_SHARE = 0.25;

/** Levels that count whole things: a bound between two numbers rises to the upper one. */
const WHOLE: ReadonlySet<Level> = new Set(['unused', 'balanceBand', 'distinctLengths', 'lengthSpread', 'doubled']);
const slackOf = (level: Level, value: number) => (level === 'homeRunM' ? 1e-6 * Math.max(1, value) : 1e-6);
const raised = (level: Level, bound: number) =>
  WHOLE.has(level) ? Math.max(0, Math.ceil(bound - 1e-6)) : Math.max(0, bound);

/** All units as one: a relaxation in which balance and places do not count, small enough to solve to the end at once. */
function pooled(problem: LayoutProblem): LayoutProblem {
  const open = problem.units.map((u, i) => ({ u, i })).filter(({ u }) => !u.empty);
  const total = (of: (u: LayoutProblem['units'][number]) => number) => open.reduce((s, { u }) => s + of(u), 0);
  return {
    ...problem,
    units: [
      {
        id: 'all',
        tag: 'all',
        ratedW: total((u) => u.ratedW),
        dcMaxW: open.some(({ u }) => u.dcMaxW === null) ? null : total((u) => u.dcMaxW ?? 0),
        trackers: total((u) => u.trackers),
        inputs: Math.max(0, ...open.map(({ u }) => u.inputs)),
        position: null,
        empty: false,
      },
    ],
    windows: problem.planes.map((_, p) => {
      const own = open.flatMap(({ i }) => problem.windows[p]?.[i] ?? []);
      const lengths = open.flatMap(({ i }) => lengthsOn(problem, p, i));
      return [
        own.length
          ? { min: Math.min(...lengths), max: Math.max(...lengths), parallel: Math.max(...own.map((w) => w.parallel)) }
          : null,
      ];
    }),
    wayM: problem.planes.map((_, p) => [Math.min(...open.map(({ i }) => problem.wayM[p]?.[i] ?? 0))]),
    frozen: problem.frozen.map((f) => ({ ...f, unit: 0, tracker: f.unit * 100 + f.tracker })),
    before: [],
  };
}

/** Rows that hold each level at a value already reached. */
function held(program: LayoutProgram, objective: Objective, levels: readonly Level[]): MilpRow[] {
  return levels
    .filter((l) => program.cost[l].size > 0)
    .map((l) => rowAtMost(program.cost[l], objective[l] + slackOf(l, objective[l])));
}

/** Whether counts keep every limit and every wish: those that counts can show, every module used, and no more lengths than asked for. */
const keepsWishes = (problem: LayoutProblem, counts: readonly LayoutCount[], worth: Objective): boolean =>
  problem.frozenFit &&
  countsFit(problem, counts) &&
  (!problem.useAll || worth.unused === 0) &&
  (problem.maxLengths === null || worth.distinctLengths <= problem.maxLengths);

/**
 * The best layout by the levels of the objective, one after the other: solve, hold, next. What is found replaces what was
 * there only when it keeps every wish and is better; a level is called proved only with its bound met.
 *
 * The pool of all units gives bounds for modules unused, lengths and doubled strings at once; exchanges from many cuts give a start
 * that is hard to beat; then the full program goes level by level from there. Last, among layouts of that worth, the one that moves
 * fewest strings from where they hang.
 */
export function levelSearch(problem: LayoutProblem, solver: MilpSolver, options: SearchOptions): FoundLayout {
  const began = options.nowS();
  const used = () => options.nowS() - began;
  const left = () => options.timeLimitS - used();
  const program = layoutProgram(problem);
  let counts = startLayout(problem).counts;
  let objective = objectiveOf(problem, counts);
  if (problem.before.length && countsFit(problem, problem.before)) {
    const worth = objectiveOf(problem, problem.before);
    const kept = keepsWishes(problem, problem.before, worth);
    if (kept && (!keepsWishes(problem, counts, objective) || compareObjectives(worth, objective) <= 0))
      [counts, objective] = [problem.before, worth];
  }
  const bound: Record<Level, number> = {
    unused: unusedBound(problem),
    balanceBand: 0,
    distinctLengths: 0,
    homeRunM: 0,
    lengthSpread: 0,
    doubled: 0,
  };
  const say = (level: Level, doing: string) =>
    options.onProgress?.({ doing, level, counts, objective, secondsUsed: used() });
  let legal = keepsWishes(problem, counts, objective);
  const takeIfBetter = (found: readonly LayoutCount[]) => {
    const worth = objectiveOf(problem, found);
    if (!keepsWishes(problem, found, worth) || (legal && compareObjectives(worth, objective) >= 0)) return;
    counts = found;
    objective = worth;
    legal = true;
  };
  say('unused', 'A legal start');

  const pool = pooled(problem);
  const poolProgram = layoutProgram(pool);
  const poolSolve = (level: Level, hold: readonly Level[], at: Objective) =>
    poolProgram.builder.minimising(poolProgram.cost[level], held(poolProgram, at, hold));
  if (objective.unused > bound.unused) {
    const fewest = solver(poolSolve('unused', [], objective), { timeLimitS: Math.max(0.2, left() * 0.1) });
    bound.unused = Math.max(bound.unused, raised('unused', fewest.bound));
  }
  say('balanceBand', 'Sharing the strings out');
  const until = used() + options.timeLimitS * SHARING_SHARE;
  const shared = goodLayout(problem, () => used() < until);
  takeIfBetter(shared.counts);

  LEVELS.forEach((level, i) => {
    // While nothing legal is known there is nothing to hold: the first level is asked for any layout at all, the others not.
    if (!legal && i > 0) return;
    const before = LEVELS.slice(0, i);
    if (level === 'distinctLengths' || level === 'lengthSpread' || level === 'doubled') {
      const answer = solver(
        poolSolve(
          level,
          before.filter((l) => l === 'unused' || l === 'distinctLengths'),
          objective,
        ),
        {
          timeLimitS: Math.max(0.2, left() * 0.05),
        },
      );
      bound[level] = raised(level, answer.bound);
    }
    say(level, 'Proving');
    if (legal && objective[level] <= bound[level] + slackOf(level, bound[level])) {
      bound[level] = objective[level];
      return;
    }
    const share = !legal ? 0.9 : level === 'homeRunM' ? 0.6 : level === 'doubled' ? 0.9 : 0.4;
    const answer = solver(program.builder.minimising(program.cost[level], held(program, objective, before)), {
      timeLimitS: Math.max(0.1, left() * share),
      ...(legal ? { start: program.valuesOf(counts) } : {}),
      onProgress: () => say(level, 'Searching'),
    });
    if (answer.values) takeIfBetter(program.countsOf(answer.values));
    if (!legal) return;
    bound[level] = Math.min(objective[level], Math.max(bound[level], raised(level, answer.bound)));
    if (answer.status === 'optimal') bound[level] = objective[level];
  });

  if (legal && problem.before.length && program.moved.size && left() > 0.2) {
    say('doubled', 'Moving as little as can be');
    const answer = solver(program.builder.minimising(program.moved, held(program, objective, LEVELS)), {
      timeLimitS: left(),
      start: program.valuesOf(counts),
    });
    const found = answer.values && program.countsOf(answer.values);
    if (found && countsFit(problem, found) && compareObjectives(objectiveOf(problem, found), objective) <= 0)
      counts = found;
  }

  const open = LEVELS.find((l) => objective[l] - bound[l] > slackOf(l, objective[l]));
  return {
    counts,
    objective,
    legal,
    bound,
    proof: open ? 'gap' : 'optimal',
    gap: open ? { level: open, percent: gapPercent(problem, open, objective, bound) } : null,
    secondsUsed: used(),
  };
}

/** How much better the first unproved level could be: modules against all modules, metres and counts against what was found. */
function gapPercent(problem: LayoutProblem, level: Level, objective: Objective, bound: Objective): number {
  const miss = objective[level] - bound[level];
  const whole = level === 'unused' ? problem.planes.reduce((s, p) => s + p.modules, 0) : objective[level];
  return (100 * miss) / whole;
}
