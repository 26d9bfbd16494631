import type { MilpAnswer, MilpSolver } from '../../kernel/milp';
import type { Lock } from '../part';
import type { StringsDesign } from '../part';
import { lineOf } from '../../site/line';
import { cutWords } from './legalLayout';
import type { LayoutProblem, LengthWindow } from './problem';
import { layoutProblem } from './problem';
import { layoutProgram } from './program';
import type { SearchOptions } from './levelSearch';

/** What a layout is asked to keep to, in the order in which an explanation tries to do without. */
const LIMITS = ['all_modules', 'n_min', 'n_max', 'trackers', 'pdc_max'] as const;
type Limit = (typeof LIMITS)[number];

export interface Conflict {
  /** The smallest set found that cannot hold together: each of them is needed for the conflict. */
  readonly demands: readonly string[];
  readonly sentence: string;
  /** What letting go of one of them would mean: those alone for which it was tried, and a layout was found. */
  readonly release: readonly string[];
}

type Demand = { readonly name: Limit } | { readonly name: 'lock'; readonly lock: Lock };

/** Seconds a single question may take; one not answered in time counts as no conflict, so that nothing is blamed without proof. */
const QUESTION_S = 2;

/**
 * Why a design with every module used has no layout: a deletion filter over named demands. Try without each in turn, and drop it for good
 * while the rest still conflicts; what is left is the smallest set of its kind, or as far as it was narrowed down when time ran out. Null where
 * there is no conflict, or none could be proved.
 */
export function explainConflict(
  design: StringsDesign,
  solver: MilpSolver,
  { nowS, timeLimitS }: Pick<SearchOptions, 'nowS' | 'timeLimitS'>,
): Conflict | null {
  const began = nowS();
  const left = () => timeLimitS - (nowS() - began);
  const all: Demand[] = [
    ...LIMITS.map((name) => ({ name })),
    ...design.locks.filter((l) => l.kind !== 'use-all').map((lock) => ({ name: 'lock' as const, lock })),
  ];
  /** What the solver says of the demands alone, in the time there is; `unknown` where it could not tell. */
  const answerTo = (demands: readonly Demand[]): MilpAnswer['status'] => {
    const problem = left() > 0 ? asked(design, demands) : null;
    if (!problem) return 'unknown';
    const { builder, cost } = layoutProgram(problem);
    const timeLimitS = Math.min(QUESTION_S, Math.max(0.05, left()));
    return solver(builder.minimising(cost.unused), { timeLimitS }).status;
  };
  const conflicts = (demands: readonly Demand[]) => answerTo(demands) === 'infeasible';
  if (!conflicts(all)) return null;
  let kept: readonly Demand[] = all;
  for (const demand of all) {
    const without = kept.filter((d) => d !== demand);
    if (conflicts(without)) kept = without;
  }
  const narrowed = left() > 0;
  // What is offered is tried: with all the other demands in force, those of other contradictions too.
  const releasing = kept.filter((d) => ['optimal', 'feasible'].includes(answerTo(all.filter((other) => other !== d))));
  return {
    demands: kept.map((d) => (d.name === 'lock' ? `lock:${d.lock.kind}` : d.name)),
    sentence: sentenceOf(design, kept, releasing, { narrowed, tried: left() > 0 }),
    release: releasing.map((d) => releaseOf(design, d)),
  };
}

/** The problem with only these demands in force. */
function asked(design: StringsDesign, demands: readonly Demand[]): LayoutProblem | null {
  const has = (name: Limit) => demands.some((d) => d.name === name);
  const locks = demands.flatMap((d) => (d.name === 'lock' ? [d.lock] : []));
  const { problem } = layoutProblem(
    { ...design, locks: has('all_modules') ? [...locks, { kind: 'use-all' }] : locks },
    'legal',
  );
  if (!problem) return null;
  const fixed = new Set(locks.flatMap((l) => (l.kind === 'plane-length' ? [l.planeId] : [])));
  const inputs = (w: LengthWindow | null, u: number) => (problem.units[u]?.trackers ?? 0) * (w?.parallel ?? 1);
  return {
    ...problem,
    units: problem.units.map((u) => ({
      ...u,
      trackers: has('trackers') ? u.trackers : 10_000,
      dcMaxW: has('pdc_max') ? u.dcMaxW : null,
    })),
    windows: problem.windows.map((row, p) => {
      const plane = problem.planes[p];
      const places = row.reduce((sum, w, u) => sum + inputs(w, u), 0);
      return row.map((w) => {
        if (!w || !plane || fixed.has(plane.id)) return w;
        const min = has('n_min') ? w.min : 1;
        // Any N can be cut by lengths from lo to 2·lo, and into as many strings as there are places by ⌈N/places⌉: longer ones free nothing.
        const max = has('n_max') ? w.max : Math.max(w.max, 2 * min, Math.ceil(plane.modules / Math.max(1, places)) + 1);
        return { ...w, min, max };
      });
    }),
  };
}

function sentenceOf(
  design: StringsDesign,
  kept: readonly Demand[],
  releasing: readonly Demand[],
  inTime: { readonly narrowed: boolean; readonly tried: boolean },
): string {
  const cut = cutSentence(design, kept);
  const said = cut ?? `These demands contradict each other: ${kept.map((d) => wordsOf(design, d)).join('; ')}.`;
  if (!inTime.narrowed) return `${said} There was no time to narrow it down.`;
  if (!inTime.tried) return `${said} There was no time to try everything that might release it.`;
  if (releasing.length === 0) return `${said} Dropping one of them is not enough: something else contradicts as well.`;
  if (cut) return said;
  return releasing.length === kept.length
    ? `${said} Dropping any one of them solves it.`
    : `${said} Dropping one of those below solves it.`;
}

/** Why planes cannot be cut whole, where that is all there is to it. */
function cutSentence(design: StringsDesign, kept: readonly Demand[]): string | null {
  const names = new Set(kept.map((d) => d.name));
  const problem = layoutProblem({ ...design, locks: [] }, 'legal').problem;
  const only = (...wanted: string[]) => names.size === wanted.length && wanted.every((w) => names.has(w as Limit));
  if (!problem || !(only('all_modules', 'n_min', 'n_max') || only('all_modules', 'n_min'))) return null;
  const stuck = problem.planes.flatMap((plane, p) => {
    const windows = (problem.windows[p] ?? []).flatMap((w) => (w ? [w] : []));
    if (windows.length === 0) return [];
    const hull = { min: Math.min(...windows.map((w) => w.min)), max: Math.max(...windows.map((w) => w.max)) };
    return Math.ceil(plane.modules / hull.max) > Math.floor(plane.modules / hull.min)
      ? [`${plane.label}: ${cutWords(plane.modules, hull)}.`]
      : [];
  });
  return stuck.length ? stuck.join(' ') : null;
}

function wordsOf(design: StringsDesign, demand: Demand): string {
  if (demand.name === 'lock') return lockWords(design, demand.lock);
  return {
    all_modules: 'every module is used',
    n_min: 'no string is shorter than tracking and start-up in the heat allow',
    n_max: 'no string is longer than the coldest morning allows',
    trackers: 'there are no more trackers and inputs',
    pdc_max: 'no inverter takes more DC power than its maker allows',
  }[demand.name];
}

function releaseOf(design: StringsDesign, demand: Demand): string {
  if (demand.name === 'lock') return `Take off the lock: ${lockWords(design, demand.lock)}.`;
  return {
    all_modules: 'Leave some modules off, or draw the plane with another count.',
    n_min: 'An inverter that tracks and starts at a lower voltage would take shorter strings.',
    n_max: 'An inverter of a higher voltage class would take longer strings.',
    trackers: 'Another inverter, or one with more trackers.',
    pdc_max: 'A larger inverter, or one more.',
  }[demand.name];
}

/** A lock as people say it. */
export function lockWords(design: StringsDesign, lock: Lock): string {
  const line = lineOf(design);
  switch (lock.kind) {
    case 'string': {
      const number = line.string(lock.stringId)?.string.number ?? lock.kept?.number ?? lock.stringId;
      return `string ${number} ${lock.built ? 'is built and stays' : 'stays where it hangs'}`;
    }
    case 'plane-length':
      return `${line.planeLabel(lock.planeId)} in strings of ${lock.modules}`;
    case 'plane-inverter':
      return `${line.planeLabel(lock.planeId)} on ${line.tag(lock.inverterId)}`;
    case 'inverter-empty':
      return `${line.tag(lock.inverterId)} stays empty`;
    case 'free-trackers':
      return `${lock.count} trackers of ${line.tag(lock.inverterId)} stay free`;
    case 'no-doubling':
      return 'one string a tracker';
    case 'max-lengths':
      return `at most ${lock.count} different lengths`;
    case 'ratio':
      return `DC/AC ratio from ${lock.minPercent ?? 0} % to ${lock.maxPercent ?? '–'} %`;
    case 'use-all':
      return 'every module is used';
  }
}
