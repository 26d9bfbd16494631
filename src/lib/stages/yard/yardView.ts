import type { Verdict } from '$core/kernel/check';
import { worstOf } from '$core/kernel/check';
import type { ListedSite } from '$lib/schemas/site';
import type { STAGES_OF_WORK } from '$lib/schemas/standing';

/** What of the yard is looked at, and in which order. */
export interface YardView {
  readonly find: string;
  readonly standing: ListedSite['standing'];
  readonly verdict: Verdict | '';
  readonly stage: (typeof STAGES_OF_WORK)[number] | '';
  readonly sort: SortKey;
  readonly down: boolean;
}
export type SortKey = 'name' | 'place' | 'verdict' | 'stage' | 'acKw' | 'dcKw' | 'inverters' | 'strings' | 'changedAt';

/** How the worst of a site's checks stands; a site without any is unknown. */
export const worstOfSite = ({ summary: { counts } }: Pick<ListedSite, 'summary'>): Verdict =>
  worstOf((Object.keys(counts) as Verdict[]).filter((v) => counts[v] > 0));

const URGENCY: Readonly<Record<Verdict, number>> = { stop: 0, unknown: 1, tight: 2, holds: 3 };
const PROGRESS: Readonly<Record<ListedSite['stage'], number>> = { design: 0, released: 1, 'on site': 2 };

const sortedBy = (site: ListedSite, key: SortKey): string | number => {
  switch (key) {
    case 'name':
      return site.name;
    case 'place':
      return site.summary.place;
    case 'verdict':
      return URGENCY[worstOfSite(site)];
    case 'stage':
      return PROGRESS[site.stage];
    case 'changedAt':
      return Date.parse(site.changedAt);
    default:
      return site.summary[key];
  }
};

const compared = (a: string | number, b: string | number): number =>
  typeof a === 'number' && typeof b === 'number'
    ? a - b
    : String(a).localeCompare(String(b), undefined, { numeric: true });

/**
 * The sites that are looked at, in their order; what is alike stays in the order it came in. `alarmed`: sites with a unit that has to be switched off. Those
 * stand in the yard whatever was done with them.
 */
export function sitesInView(
  sites: readonly ListedSite[],
  view: YardView,
  alarmed: Readonly<Record<string, number>> = {},
): ListedSite[] {
  const words = view.find.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const meant = (s: ListedSite) => {
    const text = `${s.name} ${s.summary.place}`.toLowerCase();
    return words.every((w) => text.includes(w));
  };
  return sites
    .filter(
      (s) =>
        (s.standing === view.standing || (view.standing === 'open' && s.id in alarmed)) &&
        (view.verdict === '' || worstOfSite(s) === view.verdict) &&
        (view.stage === '' || s.stage === view.stage) &&
        meant(s),
    )
    .sort((a, b) => (view.down ? -1 : 1) * compared(sortedBy(a, view.sort), sortedBy(b, view.sort)));
}
