import { describe, expect, it } from 'vitest';
import { assessSite } from '$core/design/assess';
import { withStringAt, withStrings } from '$core/strings/arrange';
import type { SiteDesign } from '$core/design';
import { verdictsOf } from '$core/strings/verdictsOf';
import { legalLayout } from '$core/strings/layout/legalLayout';
import { plane, siteOf } from '$core/testing/examples';
import { unitViews } from './pegs';

const bare = siteOf(4, [plane('south', 340)]);
const site = withStrings(bare, legalLayout(bare).strings);
const viewsOf = (d: SiteDesign, before = [] as ReturnType<typeof unitViews>) => {
  const { checks } = assessSite(d);
  const ratios = new Map(checks.filter((c) => c.id === 'strings.dc-ac-ratio').map((c) => [c.subject.id, c.value]));
  return unitViews(d, verdictsOf(checks), ratios, before);
};

describe('what the peg board draws again', () => {
  it('is nothing while nothing changed', () => {
    const first = viewsOf(site);
    expect(viewsOf({ ...site }, first).every((v, i) => v === first[i])).toBe(true);
  });
  it('is the two units between which a string moved', () => {
    const first = viewsOf(site);
    const s = site.strings.find((x) => x.place?.inverterId === 'inv-1')!;
    const moved = withStringAt(site, s.id, { inverterId: 'inv-3', tracker: 10, input: 2, branch: 1 });
    const again = viewsOf(moved, first);
    expect(again.map((v, i) => v === first[i])).toEqual([false, true, false, true]);
  });
  it('is the unit of a string that was locked', () => {
    const first = viewsOf(site);
    const s = site.strings.find((x) => x.place?.inverterId === 'inv-2')!;
    const again = viewsOf({ ...site, locks: [{ kind: 'string', stringId: s.id, built: false, kept: null }] }, first);
    expect(again.map((v, i) => v === first[i])).toEqual([true, false, true, true]);
    expect(again[1]!.locked).toEqual([s.id]);
  });
  it('shows the worst verdict of each string', () => {
    const s = site.strings[0]!;
    const long = withStrings(
      site,
      site.strings.map((x) => (x.id === s.id ? { ...x, modules: 25 } : x)),
    );
    expect(viewsOf(long).find((v) => v.unit.id === s.place!.inverterId)!.verdicts[s.id]).toBe('stop');
  });
});
