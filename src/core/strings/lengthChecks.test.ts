import { describe, expect, it } from 'vitest';
import { assessSite } from '../design/assess';
import { legalLayout } from './layout/legalLayout';
import { withStrings } from './arrange';
import { plane, siteOf } from '../testing/examples';
import { lineOf } from '../site/line';
import { lacking } from '../kernel/answer';
import { lengthChecks } from './lengthChecks';
import { windowOnSite } from './window';

const bare = siteOf(2, [plane('south', 60)]);
const site = withStrings(bare, legalLayout(bare).strings);
const string = site.strings[0]!;
const { module, plane: on } = lineOf(site).plane(string.planeId)!;
const type = lineOf(site).inverterType(site.inverters[0]!.typeId)!;
const window = windowOnSite(site.survey, on, module, type, lineOf(site).ratedW || null);

describe('a length before it hangs', () => {
  it('is judged as the string that hangs', () => {
    const hung = new Map(
      assessSite(site)
        .checks.filter((c) => c.subject.id === string.id)
        .map((c) => [c.id, c]),
    );
    const alone = lengthChecks({ string, module, type, window });
    expect(alone.map((c) => c.id)).toEqual([
      'strings.uoc-cold',
      'strings.ump-hot',
      'strings.start',
      'strings.full-power',
    ]);
    for (const c of alone)
      expect([c.value, c.limit, c.margin, c.verdict, c.working]).toEqual(
        ((h) => [h?.value, h?.limit, h?.margin, h?.verdict, h?.working])(hung.get(c.id)),
      );
  });
  it('stops one module past the longest, and is unknown without a window', () => {
    const of = (modules: number) => lengthChecks({ string: { modules }, module, type, window })[0]?.verdict;
    const most = window.value!.maxModules;
    expect([of(most) === 'stop', of(most + 1)]).toEqual([false, 'stop']);
    const unknown = lengthChecks({ string, module, type, window: lacking('lowest design temperature') });
    expect(unknown.map((c) => c.verdict)).toEqual(['unknown', 'unknown', 'unknown', 'unknown']);
  });
});
