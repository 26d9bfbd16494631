import type { Check, LineElement, Verdict } from '../kernel/check';
import { LINE_ELEMENTS, byUrgency } from '../kernel/check';
import { Memo } from '../kernel/memo';
import type { SiteDesign } from '.';
import { DISCIPLINES } from '.';

/** One element of the line: how many checks it has, how the worst stands, and the smallest margin. */
export interface ElementSummary {
  readonly element: LineElement;
  readonly verdict: Verdict;
  readonly checks: number;
  readonly smallest: Check | null;
}

export interface Assessment {
  readonly checks: readonly Check[];
  /** The nine elements in the order of the line, the chain last. */
  readonly line: readonly ElementSummary[];
  readonly counts: Readonly<Record<Verdict, number>>;
}

type Block = readonly Check[];

interface AnyDiscipline {
  readonly results: (design: SiteDesign, memo: Memo) => unknown;
  readonly assess: (design: SiteDesign, results: unknown, memo: Memo) => readonly Block[];
}

/** The checks of one discipline, in blocks. */
export function assessDiscipline(d: (typeof DISCIPLINES)[number], design: SiteDesign, memo: Memo): readonly Block[] {
  const any = d as unknown as AnyDiscipline;
  return any.assess(design, any.results(design, memo), memo);
}

/**
 * Every discipline's checks on one design, and how each element of the line stands. Pure: the same design, the same answer. With the
 * memo of the run before, what did not change is not computed again.
 */
export function assessSite(design: SiteDesign, memo: Memo = new Memo()): Assessment {
  const blocks = DISCIPLINES.flatMap((d) => assessDiscipline(d, design, memo));
  memo.settle();
  return summarise(blocks);
}

const BLOCKS = new WeakMap<Assessment, readonly Block[]>();

/** Checks that were made anew between two assessments of a design: those of before and those of now. What is the very same block is neither. */
export function madeAnew(
  before: Assessment,
  now: Assessment,
): readonly [before: readonly Check[], now: readonly Check[]] {
  const [old, own] = [before, now].map((a) => BLOCKS.get(a) ?? [a.checks]) as [readonly Block[], readonly Block[]];
  const without = (blocks: readonly Block[], others: ReadonlySet<Block>) =>
    blocks.flatMap((block) => (others.has(block) ? [] : block));
  return [without(old, new Set(own)), without(own, new Set(old))];
}

interface Sums {
  readonly counts: Record<Verdict, number>;
  readonly elements: Map<LineElement, { checks: number; smallest: Check }>;
}
const noCounts = (): Record<Verdict, number> => ({ holds: 0, tight: 0, stop: 0, unknown: 0 });

/** Sums of blocks already seen: most blocks of a changed design are the very arrays of the one before. */
const SUMS = new WeakMap<Block, Sums>();

function sumsOf(block: Block): Sums {
  const known = SUMS.get(block);
  if (known) return known;
  const sums: Sums = { counts: noCounts(), elements: new Map() };
  for (const check of block) {
    sums.counts[check.verdict] += 1;
    const own = sums.elements.get(check.subject.element);
    if (!own) sums.elements.set(check.subject.element, { checks: 1, smallest: check });
    else {
      own.checks += 1;
      if (byUrgency(check, own.smallest) < 0) own.smallest = check;
    }
  }
  SUMS.set(block, sums);
  return sums;
}

/** Sums blocks of checks up by element of the line. An element without checks is unknown, never holding. */
function summarise(blocks: readonly Block[]): Assessment {
  const counts = noCounts();
  const line = new Map(LINE_ELEMENTS.map((e) => [e, { checks: 0, smallest: null as Check | null }]));
  for (const sums of blocks.map(sumsOf)) {
    for (const verdict of Object.keys(counts) as Verdict[]) counts[verdict] += sums.counts[verdict];
    for (const [element, { checks, smallest }] of sums.elements) {
      const own = line.get(element);
      if (!own) continue;
      own.checks += checks;
      if (own.smallest === null || byUrgency(smallest, own.smallest) < 0) own.smallest = smallest;
    }
  }
  const assessment: Assessment = {
    // `concat` copies whole lists; flatMap would walk ten thousand checks one by one.
    checks: ([] as Check[]).concat(...blocks),
    // The most urgent check has the worst verdict: urgency goes by verdict first.
    line: [...line].map(([element, { checks, smallest }]) => ({
      element,
      verdict: smallest?.verdict ?? 'unknown',
      checks,
      smallest,
    })),
    counts,
  };
  BLOCKS.set(assessment, blocks);
  return assessment;
}
