import { describe, expect, it } from 'vitest';
import { acRun, necRun } from '../../testing/subjects';
import { palmAsTubeMm, sleeveFor } from './sleeve';
import { terminationSheet } from './terminationSheet';

/** A lug of 120 mm² (DIN 46235, recalled) on a core of 15.3 mm. */
const LUG_120 = { barrelOuterMm: 21, barrelDepthMm: 35, coreMm: 15.3, palmWidthMm: 32, palmThicknessMm: 5.5 };

describe('the sleeve of a lug', () => {
  it('is 4:1 32/8 for 120 mm², slips over the palm, and is cut at 72.2222 mm (worked case)', () => {
    const sleeve = sleeveFor(LUG_120)!;
    expect([sleeve.ratio, sleeve.suppliedMm, sleeve.recoveredMm, sleeve.overPalm]).toEqual(['4:1', 32, 8, true]);
    expect(sleeve.cutMm).toBeCloseTo(72.2222, 4);
    expect(palmAsTubeMm(LUG_120)).toBeCloseTo(23.8732, 4);
  });
  it('goes on before the lug where none slips over the palm, the smallest that grips', () => {
    const wide = sleeveFor({ ...LUG_120, palmWidthMm: 90 })!;
    expect([wide.overPalm, wide.suppliedMm, wide.recoveredMm]).toEqual([false, 24, 6]);
    // At the edge: 1.1 · 2 · (w + t)/π of 32 mm.
    const edge = (32 * Math.PI) / 2.2 - 5.5;
    expect(sleeveFor({ ...LUG_120, palmWidthMm: edge - 1e-9 })?.suppliedMm).toBe(32);
    expect(sleeveFor({ ...LUG_120, palmWidthMm: edge + 1e-9 })?.suppliedMm).toBe(39);
  });
  it('grips the thinner and slips over the thicker of barrel and core, or there is none', () => {
    expect(sleeveFor({ ...LUG_120, barrelOuterMm: 60, coreMm: 55, palmWidthMm: 60 })).toBeNull();
    expect(sleeveFor({ ...LUG_120, coreMm: 6 / 0.9, palmWidthMm: 10 })?.recoveredMm).toBe(6);
    expect(sleeveFor({ ...LUG_120, coreMm: 5.9 / 0.9, palmWidthMm: 10 })).toBeNull();
    expect(() => sleeveFor({ ...LUG_120, coreMm: 0 })).toThrow(RangeError);
  });
});

const fact = (r: Parameters<typeof terminationSheet>[0], name: string) =>
  terminationSheet(r).facts.find(([n]) => n === name)?.[1];

describe('the termination sheet', () => {
  it('has strip, lug, die, crimps, sleeve and torque of a run of 120 mm² copper, and where the torque comes from', () => {
    const r = acRun();
    expect(fact(r, 'Strip')).toBe('39.0 mm');
    expect(fact(r, 'Lug')).toBe('120 mm² for M10, palm 32 × 5.5 mm at most');
    expect(fact(r, 'Die and crimps')).toBe('die 20, 4 crimps');
    expect(fact(r, 'Heat-shrink')).toBe('4:1 32/8 mm, cut 72 mm, slips over the palm');
    expect(fact(r, 'Torque')).toBe('20.0 to 30.0 N·m, set 25.0 N·m');
    // A tool of 4 % (ISO 6789-1, recalled): 20.8333 to 28.8462 N·m.
    expect(fact(r, 'Tool may be set from')).toBe('20.83 to 28.85 N·m');
    expect(fact(r, 'Torque from')).toBe('data sheet: AC stud torque');
  });
  it('lands the earth first, then the neutral, then the lines, and tells what goes on before the lug', () => {
    const { steps, checks } = terminationSheet(acRun());
    expect(steps.find((s) => s.startsWith('Land'))).toBe(
      'Land PE green-yellow first, longest, so that it tears off last; then N blue; then the lines back to front: L1 brown, L2 black, L3 grey.',
    );
    expect(steps.some((s) => s.includes('on before its lug'))).toBe(false);
    expect(checks.filter((c) => /crimped/.test(c))).toHaveLength(6);
    const three = terminationSheet(acRun({ type: { wiring: '3-wire plus PE' } }));
    expect(three.steps.find((s) => s.startsWith('Land'))).not.toContain('N blue');
    expect(three.checks.filter((c) => /crimped/.test(c))).toHaveLength(5);
  });
  it('prepares aluminium, and says what nobody measured yet', () => {
    const al = terminationSheet(acRun({ run: { metal: 'Al', parallel: 2 } }));
    expect(al.steps.join(' ')).toMatch(/brush the oxide, paste within a minute/);
    expect(al.steps.join(' ')).toMatch(/Two lugs on a stud/);
    expect(al.steps.join(' ')).toMatch(/Slide every heat-shrink on before its lug/);
    expect(al.checks.join(' ')).toMatch(/after 24 h/);
    expect(al.facts.find(([n]) => n === 'Lug')?.[1]).toMatch(/palm not known: measure it/);
    expect(al.facts.find(([n]) => n === 'Heat-shrink')?.[1]).toMatch(/^not known/);
  });
  it('names colours by school and voltage, and sizes as they are bought', () => {
    const at = (lineV: number) =>
      terminationSheet(necRun({ survey: { lineV } })).steps.find((s) => s.startsWith('Land'));
    expect(at(480)).toContain('A brown, B orange, C yellow');
    expect(at(208)).toContain('A black, B red, C blue');
    expect(fact(necRun(), 'Cable')).toContain('3/0 AWG Cu');
  });
  it('says not known, and never a default, for a run of which nothing is known', () => {
    const r = acRun({
      run: { sectionMm2: null, metal: null, peMm2: null, externalEarthMm2: null, cores: null, insulation: null },
      bay: { torqueMinNm: 40, torqueMaxNm: 30 },
    });
    for (const name of ['PE', 'External earth', 'Die and crimps', 'Torque', 'Tool may be set from', 'Torque from'])
      expect(fact(r, name), name).toBe('not known');
    expect(fact(r, 'Strip')).toBe('–');
  });
});
