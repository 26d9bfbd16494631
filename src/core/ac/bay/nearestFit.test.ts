import { describe, expect, it } from 'vitest';
import { runChecks } from '../assess';
import { acRun } from '../../testing/subjects';
import { nearestFits } from './nearestFit';

type Over = NonNullable<Parameters<typeof acRun>[0]>;
const fits = (over: Over) => {
  const r = acRun(over);
  return nearestFits(r, runChecks(r));
};
const words = (over: Over, rule: RegExp) => fits(over).find((f) => rule.test(f.rule))?.words;

describe('the nearest thing that fits a bay', () => {
  it('is nothing where all fits', () => expect(fits({})).toEqual([]));

  it('is a narrow palm, or the nearest cable whose lugs land (DIN 46235, recalled: 34 mm for 150 mm² on a 33 mm bay)', () => {
    const found = fits({ run: { sectionMm2: 150 } });
    expect(found.map((f) => f.rule)).toContain('Palm fits the width of the bay');
    expect(words({ run: { sectionMm2: 150 } }, /width/)).toBe(
      'a lug for 150 mm² with a narrow palm, up to 33.0 mm: measure it and enter the width',
    );
    const [first] = found;
    expect(first?.words).toBe('another cable: 120 mm² Cu, 5-core');
    // And it does land: nothing of the bay stands in its way.
    const taken = acRun({ run: first?.run ?? {} });
    expect(nearestFits(taken, runChecks(taken))).toEqual([]);
  });

  it('is the cable nearest by the metal of a line, of its own kind where two are as near', () => {
    // 95 and 120 mm² both land; 120 is nearer to 150 than 95, and as singles it is as near.
    for (const cores of ['5-core', '1-core'] as const) {
      const [first] = fits({
        run: { sectionMm2: 150, cores, peInCable: cores === '5-core' },
        bay: { glands: 5, glandClampMinMm: 15, glandClampMaxMm: 60, freeHeightMm: 400 },
      });
      expect([first?.run?.sectionMm2, first?.run?.cores]).toEqual([120, cores]);
    }
  });

  it('has the narrowest of what the sheet takes and what the air beside the palms asks', () => {
    const gap = (bay: NonNullable<Over['bay']>, survey = {}) =>
      words({ run: { sectionMm2: 150 }, bay, survey }, /width|gap|air/);
    expect(gap({ palmMaxWidthMm: 33, studSpacingMm: 200 })).toMatch(/up to 33\.0 mm/);
    const bySpacing = Number(/up to ([\d.]+) mm/.exec(gap({ palmMaxWidthMm: 33, studSpacingMm: 42 }) ?? '')?.[1]);
    const wider = Number(/up to ([\d.]+) mm/.exec(gap({ palmMaxWidthMm: 33, studSpacingMm: 43 }) ?? '')?.[1]);
    expect(bySpacing).toBeLessThan(33);
    expect(wider - bySpacing).toBeCloseTo(1, 6);
  });

  it('is two smaller cables where one large lug is too wide and a stud takes two', () => {
    const over: Over = {
      run: { sectionMm2: 240, parallel: 1 },
      type: { breakerMaxA: 400, outputMaxA: 330, maxApparentVa: 230_000 },
      bay: { lugsPerStud: 2, palmMaxThicknessMm: 12, studLengthMm: 40, glands: 2, studM: 12, freeHeightMm: 400 },
    };
    const [first] = fits(over);
    expect([first?.run?.parallel, first?.run?.metal]).toEqual([2, 'Cu']);
  });

  it('is the gland of the series that clamps it, or a measurement where a real cable may lie outside', () => {
    const narrow = { glandClampMinMm: 20, glandClampMaxMm: 32 };
    expect(words({ run: { cableDiameterMm: 47 }, bay: narrow }, /gland/)).toBe(
      'another gland: M63 clamps 35 to 48 mm, this cable has 47.0 mm',
    );
    // 49.1 mm built up, 47.6 to 54.0 mm in hand.
    expect(words({ bay: narrow }, /gland/)).toMatch(
      /^another gland: M75 clamps 45 to 60 mm, this cable has 47\.6 to 54\.0 mm$/,
    );
    expect(words({ run: { cores: '4-core' }, bay: narrow }, /gland/)).toMatch(/M63 .*measure it before drilling$/);
    expect(words({ run: { cableDiameterMm: 72 }, bay: narrow }, /gland/)).toMatch(
      /^no gland of the series clamps 72\.0 mm/,
    );
  });

  it('is smaller conductors where the bend is too tight, and nothing is promised where no cable fits', () => {
    const found = fits({ bay: { freeHeightMm: 60 } });
    expect(found.map((f) => [f.rule, f.run])).toEqual([['Conductors bend into the bay without harm', undefined]]);
    expect(found[0]?.words).toMatch(/^smaller conductors/);
  });

  it('asks nothing of a run of which nobody knows the section', () =>
    expect(fits({ run: { sectionMm2: null } })).toEqual([]));
});
