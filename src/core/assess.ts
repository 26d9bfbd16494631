import { assessAc } from './ac/assess';
import type { Check, LineElement, Verdict } from './kernel/check';
import { LINE_ELEMENTS, byUrgency } from './kernel/check';
import { assessLinks } from './links/assess';
import type { SiteDesign } from './site/siteDesign';
import { assessStrings } from './strings/assess/assess';
import { Memo } from './kernel/memo';

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

/** The disciplines of the work, each with what it says of a design. A new discipline is one line here. */
export const DISCIPLINES = { strings: assessStrings, ac: assessAc, links: assessLinks } as const;

/**
 * Every discipline's checks on one design, and how each element of the line stands. Pure: the same design, the same answer. With the
 * memo of the run before, what did not change is not computed again.
 */
export function assessSite(design: SiteDesign, memo: Memo = new Memo()): Assessment {
  // `concat` copies whole lists; flatMap would walk ten thousand checks one by one.
  const checks = ([] as Check[]).concat(...Object.values(DISCIPLINES).map((assess) => assess(design, memo)));
  memo.settle();
  return summarise(checks);
}

/** Sums checks up by element of the line. An element without checks is unknown, never holding. */
export function summarise(checks: readonly Check[]): Assessment {
  const sums = new Map(LINE_ELEMENTS.map((e) => [e, { checks: 0, smallest: null as Check | null }]));
  const counts: Record<Verdict, number> = { holds: 0, tight: 0, stop: 0, unknown: 0 };
  for (const check of checks) {
    counts[check.verdict] += 1;
    const own = sums.get(check.subject.element);
    if (!own) continue;
    own.checks += 1;
    if (own.smallest === null || byUrgency(check, own.smallest) < 0) own.smallest = check;
  }
  // The most urgent check has the worst verdict: urgency goes by verdict first.
  const line = [...sums].map(([element, { checks: number, smallest }]): ElementSummary => ({
    element,
    verdict: smallest?.verdict ?? 'unknown',
    checks: number,
    smallest,
  }));
  return { checks, line, counts };
}
