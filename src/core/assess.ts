import { assessAc } from './ac/assess';
import type { Check, LineElement, Verdict } from './kernel/check';
import { LINE_ELEMENTS, byUrgency, worstOf } from './kernel/check';
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
  const checks = Object.values(DISCIPLINES).flatMap((assess) => assess(design, memo));
  memo.settle();
  return summarise(checks);
}

/** Sums checks up by element of the line. An element without checks is unknown, never holding. */
export function summarise(checks: readonly Check[]): Assessment {
  const byElement = new Map<LineElement, Check[]>(LINE_ELEMENTS.map((e) => [e, []]));
  const counts: Record<Verdict, number> = { holds: 0, tight: 0, stop: 0, unknown: 0 };
  for (const check of checks) {
    byElement.get(check.subject.element)?.push(check);
    counts[check.verdict] += 1;
  }
  const line = [...byElement].map(([element, own]): ElementSummary => {
    const smallest = own.reduce<Check | null>((a, b) => (a === null || byUrgency(b, a) < 0 ? b : a), null);
    return { element, verdict: worstOf(own.map((c) => c.verdict)), checks: own.length, smallest };
  });
  return { checks, line, counts };
}
