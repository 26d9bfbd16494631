import { assessSite } from '$core/assess';
import type { Check, LineElement, Verdict } from '$core/kernel/check';
import type { SiteDesign } from '$core/site/siteDesign';

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
  }[];
}

/** Made at every write, so that listing hundreds of sites assesses none. */
export function summaryOf(design: SiteDesign): SiteSummary {
  const { line, counts } = assessSite(design);
  const modulePower = new Map(design.equipment.modules.map((m) => [m.id, m.pmaxW]));
  const inverterPower = new Map(design.equipment.inverters.map((t) => [t.id, t.ratedW]));
  const watts = (sum: number, w: number | undefined) => sum + (w ?? 0);
  const marginOf = (c: Check | null) => c?.margin ?? null;
  return {
    place: design.survey.place,
    inverters: design.inverters.length,
    strings: design.strings.length,
    modules: design.planes.reduce((sum, p) => sum + p.moduleCount, 0),
    acKw: design.inverters.reduce((sum, i) => watts(sum, inverterPower.get(i.typeId)), 0) / 1000,
    dcKw: design.planes.reduce((sum, p) => sum + p.moduleCount * (modulePower.get(p.moduleTypeId) ?? 0), 0) / 1000,
    counts,
    line: line.map((e) => ({ element: e.element, verdict: e.verdict, margin: marginOf(e.smallest) })),
  };
}
