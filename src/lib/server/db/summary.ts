import { LRUCache } from 'lru-cache';
import type { SiteDesign } from '$core/design';
import { assessSite } from '$core/design/assess';
import type { LineElement, Verdict } from '$core/kernel/check';
import { Memo } from '$core/kernel/memo';
import { lineOf } from '$core/site/line';

/** What the list of sites shows without opening any of them. */
export interface SiteSummary {
  readonly place: string;
  readonly inverters: number;
  readonly strings: number;
  readonly modules: number;
  readonly acKw: number;
  readonly dcKw: number;
  readonly counts: Readonly<Record<Verdict, number>>;
  readonly line: readonly {
    readonly element: LineElement;
    readonly verdict: Verdict;
    readonly margin: number | null;
    readonly reserve?: number | undefined;
  }[];
}

/** Answers of the sites summed up last: after a change only what it touched is computed again. */
const memos = new LRUCache<string, Memo>({ max: 8 });
function memoOf(siteId: string): Memo {
  const memo = memos.get(siteId) ?? new Memo();
  memos.set(siteId, memo);
  return memo;
}

export function summaryOf(siteId: string, design: SiteDesign): SiteSummary {
  const { line: elements, counts } = assessSite(design, memoOf(siteId));
  const line = lineOf(design);
  return {
    place: design.survey.place,
    inverters: design.inverters.length,
    strings: design.strings.length,
    modules: design.planes.reduce((sum, p) => sum + p.moduleCount, 0),
    acKw: line.ratedW / 1000,
    dcKw: line.drawnW / 1000,
    counts,
    line: elements.map(({ element, verdict, smallest }) => ({
      element,
      verdict,
      margin: smallest?.margin ?? null,
      ...(smallest?.reserve === undefined ? {} : { reserve: smallest.reserve }),
    })),
  };
}
