import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assessSite } from '../design/assess';
import { Memo } from '../kernel/memo';
import { exactly } from '../kernel/publishedTable';
import { withStringAt, withStrings } from './arrange';
import type { SiteDesign } from '../design';
import { applyEdit } from '../design';
import type { PvString } from '../site/parts';
import { CABLE, COLD_BY, M575, SURVEY, T100, plane, siteOf } from '../testing/examples';
import { checksOf } from '../testing/checks';
import type { ColdBy } from './coldVoltage';
import { coldModuleV, coldOnSite } from './coldVoltage';
import { trackerCurrents } from './currents';
import { DC_SECTIONS_MM2 } from '../conductor/laid';
import { dcAmpacityA } from '../conductor/schools/iec/dcCable';
import { homeRunDrop, homeRunLengths } from './homeRun';
import { homeRunOhm } from '../conductor/pvCable';
import { fuseProtects, fuseRange, sharedFuseRange, stringFuse } from './fuses';
import { legalLayout } from './layout/legalLayout';
import { dcLimit, dcLimitSoFarV } from './dcLimit';
import { legalLimit } from './legalLimit';
import { openCircuitV } from './moduleAt';
import { newString } from '../site/parts';
import { PV_CABLE } from '../conductor/tables/pvCable';
import { VOC_CORRECTION } from './tables/vocCorrection';
import { verifyLayout } from './verify';
import type { WindowInputs } from './window';
import { alternatives, stringWindow } from './window';

const inputs: WindowInputs = {
  module: M575,
  inverter: T100,
  mounting: 'pitched_gap',
  coldestC: -12,
  hottestC: 38,
  dcLegalMaxV: 1500,
  school: 'IEC',
  building: 'not on a building',
  cold: COLD_BY,
};
const byTable = { ...COLD_BY, method: 'table' as const };
/** An NEC site of 250 kW with an engineer's figure. */
const stamped = (uocColdV: number | null, document: string, over: Partial<ColdBy['engineered']> = {}): ColdBy => ({
  ...COLD_BY,
  method: 'engineered',
  engineered: { uocColdV, document, school: 'NEC', siteW: 250_000, ...over },
});

describe('cold voltage by method (NFPA 70 690.7(A), recalled)', () => {
  it('by table is 59.8792 V at −12 °C, and 18 modules fit 1100 V', () => {
    expect(coldModuleV(M575, -12, byTable).value?.uocColdV).toBeCloseTo(59.8792, 6);
    expect(stringWindow({ ...inputs, cold: byTable }).value?.maxModules).toBe(18);
  });
  it('takes the colder row between two, 1.00 from 25 °C, and ends at −40 °C', () => {
    const factor = (c: number) => (coldModuleV(M575, c, byTable).value?.uocColdV ?? NaN) / M575.uocV;
    expect(factor(-10)).toBeCloseTo(1.14, 9);
    expect(factor(-10.5)).toBeCloseTo(1.16, 9);
    expect(factor(25)).toBe(1);
    expect(factor(24)).toBeCloseTo(1.02, 9);
    expect(coldModuleV(M575, -40.5, byTable)).toMatchObject({
      value: null,
      missing: [expect.stringContaining('SW05')],
    });
  });
  it('of the table lies above the coefficient of today’s modules at every row (−0.24 to −0.32 %/K)', () => {
    for (const [key] of VOC_CORRECTION.rows)
      expect(exactly(VOC_CORRECTION, key, 'factor')).toBeGreaterThan(openCircuitV(M575, -key) / M575.uocV - 0.01);
  });
  it('engineered wants figure and document, and is questioned when more than 3 % below the coefficient', () => {
    const by = (uocColdV: number | null, document: string) =>
      stringWindow({ ...inputs, cold: stamped(uocColdV, document) });
    expect(by(null, 'E-12').missing).toEqual(['engineered cold voltage of M575']);
    expect(by(55, '').missing).toEqual(['document of the engineered cold voltage']);
    expect(by(55, 'E-12').value?.notes).toEqual([]);
    expect(by(54.5, 'E-12').value?.notes[0]?.code).toBe('SW06');
    expect(by(55, 'E-12').value?.maxModules).toBe(20);
  });
  it('engineered is unknown outside the conditions of its clause: NFPA 70 alone, from 100 kW', () => {
    const of = (over: Partial<ColdBy['engineered']>) => coldModuleV(M575, -12, stamped(55, 'E-12', over)).missing;
    expect(of({})).toEqual([]);
    expect(of({ siteW: 100_000 })).toEqual([]);
    expect(of({ siteW: 99_999 })).toEqual([expect.stringMatching(/^a site of 100 kW or more/)]);
    expect(of({ siteW: null })).toEqual([expect.stringMatching(/^a site of 100 kW or more/)]);
    expect(of({ school: 'IEC' })).toEqual([expect.stringMatching(/^another method.*the site is IEC$/)]);
  });
  it('engineered stops on a figure no module has: not above its own at 25 °C, or as much as a string', () => {
    const of = (uocColdV: number, coldestC = -12) =>
      coldModuleV(M575, coldestC, stamped(uocColdV, 'E-12')).value?.doubt;
    expect([of(51.62)?.verdict, of(51.63)?.verdict, of(54.72)?.verdict, of(54.73)?.verdict]).toEqual([
      'stop',
      'tight',
      'tight',
      undefined,
    ]);
    expect([of(77.94)?.verdict, of(77.95)?.verdict]).toEqual([undefined, 'stop']);
    expect(of(51.62, 25)?.verdict).toBeUndefined();
    const w = stringWindow({ ...inputs, cold: stamped(50, 'E-12') }).value;
    expect([w?.maxModules, w?.notes.map((n) => n.code)]).toEqual([0, ['SW06', 'SW03']]);
  });
  it('the tolerance of the sheet shrinks the window where the designer counts it, and is asked for then', () => {
    const counted = { ...COLD_BY, countTolerance: true };
    const of = (uocTolerancePercent: number | null, cold = counted) =>
      stringWindow({ ...inputs, module: { ...M575, uocTolerancePercent }, cold });
    // 56.41395 V × 1.03 = 58.10637 V: 1100 / 58.10637 = 18.93.
    expect(of(3).value?.uocColdV).toBeCloseTo(58.10637, 4);
    expect([of(3).value?.maxModules, of(0).value?.maxModules, of(3, COLD_BY).value?.maxModules]).toEqual([18, 19, 19]);
    expect(of(null).missing).toEqual(['tolerance of the open-circuit voltage of M575']);
    expect(of(3, { ...byTable, countTolerance: true }).value?.uocColdV).toBeCloseTo(59.8792 * 1.03, 6);
    // A reading is carried by the method alone: the tolerance is of the sheet, not of what was measured.
    expect(coldModuleV({ ...M575, uocTolerancePercent: 3 }, -12, counted).value?.factor).toBeCloseTo(
      56.41395 / 51.62,
      6,
    );
  });
});

describe('limit of the DC side', () => {
  it('is 600, 1000 or 1500 V under the NEC by building (690.7, recalled), and what the survey says where that is less', () => {
    const of = (building: WindowInputs['building'], dcLegalMaxV: number | null = null) =>
      legalLimit({ school: 'NEC', building, dcLegalMaxV })?.limitV ?? null;
    expect([of('one- or two-family dwelling'), of('other building'), of('not on a building'), of(null)]).toEqual([
      600,
      1000,
      1500,
      null,
    ]);
    // A typed limit may be that of another building: while nobody said which, it is not taken.
    expect([of('other building', 1500), of('other building', 600), of(null, 1500)]).toEqual([1000, 600, null]);
    const iec = (building: WindowInputs['building']) =>
      legalLimit({ school: 'IEC', building, dcLegalMaxV: null })?.limitV;
    expect([iec('one- or two-family dwelling'), iec('other building'), iec('not on a building')]).toEqual([
      1000, 1500, 1500,
    ]);
  });
  it('names the first of equals, lists all of them, and knows the least of those that are known', () => {
    const side = (
      connectorMaxV: number | null,
      dcLegalMaxV: number | null,
      building: WindowInputs['building'] = null,
    ) => ({
      module: M575,
      inverter: { ...T100, connectorMaxV },
      survey: { school: 'IEC' as const, building, dcLegalMaxV },
    });
    expect(dcLimit(side(1100, 1500, 'other building')).value).toEqual({
      limitV: 1100,
      by: 'T100 maximum input voltage',
      because: 'V_lim = min(1100 V, 1500 V, 1100 V, 1500 V) = 1100 V (T100 maximum input voltage)',
    });
    expect(dcLimit(side(null, null)).missing).toHaveLength(2);
    expect(dcLimit(side(1100, 1500)).missing).toEqual(['whether the array is on a building']);
    // A typed limit counts as soon as it is typed where it can only lower what is legal.
    expect([side(null, null), side(900, null), side(null, 800)].map(dcLimitSoFarV)).toEqual([1100, 900, 800]);
    expect(legalLimit({ school: 'NEC', building: 'other building', dcLegalMaxV: 1000 })?.by).toBe('legal limit');
  });
  it('is the connectors’ where that is lowest, and unknown while nobody knows it', () => {
    expect(stringWindow({ ...inputs, inverter: { ...T100, connectorMaxV: 1000 } }).value?.limitedBy).toBe(
      'T100 connectors',
    );
    expect(stringWindow({ ...inputs, inverter: { ...T100, connectorMaxV: null } }).missing).toEqual([
      'connector voltage of T100',
    ]);
  });
  it('5 K, the other method and the next voltage classes give other longest strings (1500 / 56.41395 = 26.6)', () => {
    expect(Object.fromEntries(alternatives(inputs).map((a) => [a.change, a.maxModules]))).toMatchObject({
      '5 K colder': 19,
      '5 K warmer': 19,
      'by the table method': 18,
      'everything at 1000 V': 17,
      'everything at 1500 V': 26,
    });
  });
});

describe('string fuses (IEC 62548-1, NFPA 70 690.9; ratings IEC 60269-6; recalled)', () => {
  it('two strings of 14.21 A need none: 17.7625 A back into one', () => {
    expect(stringFuse(M575, 1, 2, 'IEC')).toMatchObject({
      reverseA: expect.closeTo(17.7625, 9),
      needed: false,
      maxUnfused: 2,
    });
  });
  it('three need 25 A: above 21.315 A by IEC, from 22.20313 A by NEC', () => {
    expect(stringFuse(M575, 1, 3, 'IEC')).toMatchObject({
      reverseA: expect.closeTo(35.525, 9),
      needed: true,
      leastA: expect.closeTo(21.315, 9),
      ratingA: 25,
    });
    expect(stringFuse(M575, 1, 3, 'NEC')).toMatchObject({ leastA: expect.closeTo(22.203125, 9), ratingA: 25 });
  });
  it('a rating on the upper end protects, on the lower end by the NEC alone, and only one that is made', () => {
    const range = { leastA: 20, mostA: 30 };
    expect([20, 25, 30, 32].map((a) => fuseProtects(range, 'IEC', a))).toEqual([false, true, true, false]);
    expect([16, 20, 30, 32].map((a) => fuseProtects(range, 'NEC', a))).toEqual([false, true, true, false]);
    expect([21, 24.9, 26, 28].map((a) => fuseProtects(range, 'NEC', a))).toEqual([false, false, false, false]);
  });
  it('the range of a tracker is what suits every string on it', () => {
    const small = { ...M575, iscA: 10, fuseMaxA: 20 };
    expect([fuseRange(M575, 1, 'IEC'), fuseRange(small, 1, 'IEC')].map((r) => [r.leastA, r.mostA])).toEqual([
      [expect.closeTo(21.315, 9), 25],
      [15, 20],
    ]);
    expect(sharedFuseRange([fuseRange(M575, 1, 'IEC'), fuseRange(small, 1, 'IEC')])).toEqual({
      leastA: expect.closeTo(21.315, 9),
      mostA: 20,
    });
  });
  it('keep 1.25 where the maker’s own limit is for standard conditions, and more where that asks for more', () => {
    expect(stringFuse(M575, 1, 2, 'IEC', 1).reverseA).toBeCloseTo(17.7625, 9);
    expect(stringFuse(M575, 1, 2, 'IEC', 1.4).reverseA).toBeCloseTo(1.4 * 14.21, 9);
  });
  it('are not needed while the others push no more than the module’s own rating', () => {
    const rated = (fuseMaxA: number) => stringFuse({ ...M575, fuseMaxA }, 1, 2, 'IEC').needed;
    expect([rated(17.7625), rated(17.76)]).toEqual([false, true]);
  });
  it('have no rating where the module fuse lies below 1.5 × I_sc (SF01)', () => {
    expect(stringFuse({ ...M575, fuseMaxA: 20 }, 1, 3, 'IEC').ratingA).toBeNull();
  });
});

describe('DC cable (IEC 60228 class 5 tinned, EN 50618; recalled)', () => {
  it('6 mm² over 55 m at 60 °C: 0.4315199 Ω, 5.799627 V, 0.752807 % of 18 modules, 77.94699 W', () => {
    const ohm = homeRunOhm(55, 6, 60);
    expect(ohm).toBeCloseTo(0.4315199, 7);
    const d = homeRunDrop(ohm, M575.impA, 18 * M575.umpV);
    expect([d.dropV, d.dropPercent, d.lossW].map((x) => x.toFixed(5))).toEqual(['5.79963', '0.75281', '77.94699']);
  });
  it('10 AWG has 4.226 Ω/km at 75 °C (NFPA 70, chapter 9, Table 8, recalled), and less copper more', () => {
    expect(homeRunOhm(500, 5.26, 75)).toBeCloseTo(4.226, 9);
    expect(homeRunOhm(500, 5.26, 20)).toBeCloseTo(4.226 * (1 - 0.00323 * 55), 9);
    const rising = DC_SECTIONS_MM2.map((mm2) => homeRunOhm(10, mm2, 60));
    expect(rising).toEqual([...rising].sort((a, b) => b - a));
    expect(() => homeRunOhm(10, 5, 60)).toThrow(/must be one of 2\.08, 2\.5/);
  });
  it('6 mm² grouped by three carries 39.9 A at 50 °C; 4 mm² by nine 20.08316 A at 70 °C', () => {
    expect(dcAmpacityA(6, 'two adjacent on a surface', 50, 3)).toBeCloseTo(39.9, 9);
    expect(dcAmpacityA(4, 'two adjacent on a surface', 70, 9)).toBeCloseTo(20.08316, 5);
    expect(dcAmpacityA(4, 'two adjacent on a surface', 70, 21)).toBeUndefined();
  });
  it('resistance falls with the section as the metal has it, within the strand tolerance (ρ of tinned copper 0.0200 to 0.0208)', () => {
    for (const [section] of PV_CABLE.rows) {
      const rho = ((exactly(PV_CABLE, section, 'R20') ?? NaN) * section) / 1000;
      expect(rho).toBeGreaterThan(0.0193);
      expect(rho).toBeLessThan(0.0209);
    }
  });
  it.each([
    [{ sectionMm2: 7 }, /one of 2\.08, 2\.5, 3\.31/],
    [{ conductorC: 130 }, /20 to 120/],
    [{ lengthM: -1 }, /above 0/],
    [{ lengthM: 0 }, /lengthM must be above 0/],
    [{ lengthM: 1001 }, /0 to 1000/],
  ])('refuses %o', (over, said) => {
    const { lengthM, sectionMm2, conductorC } = { lengthM: 50, sectionMm2: 6, conductorC: 60, ...over };
    expect(() => homeRunOhm(lengthM, sectionMm2, conductorC)).toThrow(said);
  });
});

describe('checks of the string side', () => {
  const site = siteOf(2, [plane('south', 320)]);
  const laid = withStrings(site, legalLayout(site).strings);
  const ids = (d: SiteDesign, id: string) => checksOf('strings', d).filter((c) => c.id === id);

  it('are unknown for cable drop and current while nobody chose a cable', () => {
    const bare = { ...laid, dcCable: { ...CABLE, sectionMm2: null } };
    for (const id of ['strings.home-run-drop', 'strings.cable-current'])
      expect(new Set(ids(bare, id).map((c) => c.verdict))).toEqual(new Set(['unknown']));
  });
  it('stop a drop above 2 % and let a written reason stand for the strings it names', () => {
    const far = {
      ...laid,
      strings: laid.strings.map((s) => ({ ...s, lengthM: 200, lengthToId: s.place!.inverterId })),
    };
    expect(ids(far, 'strings.home-run-drop').every((c) => c.verdict === 'stop')).toBe(true);
    const [named, ...others] = far.strings.map((s) => s.id);
    const dcCable = {
      ...CABLE,
      dropReason: 'short season, agreed with the owner',
      dropMostPercent: 4,
      dropStringIds: [named!],
    };
    const drops = new Map(ids({ ...far, dcCable }, 'strings.home-run-drop').map((c) => [c.subject.id, c.verdict]));
    expect([drops.get(named), drops.get(others[0])]).toEqual(['tight', 'stop']);
  });
  it('say which fuse three strings want, and take it', () => {
    const three = { ...T100, inputsPerTracker: 3, trackerShortCircuitMaxA: 70 };
    const d = siteOf(1, [plane('p', 51)], three);
    const [place] = [{ inverterId: 'inv-1', tracker: 1, branch: 1 as const }];
    const strings = [1, 2, 3].map((n) => newString(`s${n}`, n, 'p', 17, { ...place, input: n }));
    const hung = withStrings(d, strings);
    const [check] = ids(hung, 'strings.reverse-current');
    expect(check?.verdict).toBe('stop');
    expect(check?.working.join(' ')).toContain('fit 25 A in both poles');
    expect(verifyLayout(hung).map((v) => v.predicate)).toEqual(['V12']);
    const fused = { ...hung, dcCable: { ...CABLE, fuseA: 25 } };
    expect(ids(fused, 'strings.reverse-current')[0]?.verdict).toBe('holds');
    expect(verifyLayout(fused)).toEqual([]);
  });
  it('want a cable that bears what the other strings push back, or the fuse before it', () => {
    const three = { ...T100, inputsPerTracker: 3, trackerShortCircuitMaxA: 70 };
    const d = siteOf(1, [plane('p', 51)], three);
    const strings = [1, 2, 3].map((n) =>
      newString(`s${n}`, n, 'p', 17, { inverterId: 'inv-1', tracker: 1, input: n, branch: 1 }),
    );
    const thin = { ...CABLE, sectionMm2: 4 as const, circuitsTogether: 5 };
    const need = (fuseA: number | null) =>
      ids({ ...withStrings(d, strings), dcCable: { ...thin, fuseA } }, 'strings.cable-current')[0]!;
    // 4 mm² by five carries 44 × 0.60 = 26.4 A: enough for 17.7625 A, not for 35.525 A back from two others.
    expect(need(null)).toMatchObject({ verdict: 'stop', value: expect.closeTo(35.525, 9) });
    expect(need(25)).toMatchObject({ verdict: 'holds', value: 25 });
  });
  it('add the strings of a Y-branch on their connector: 35.5250 A on 30 A', () => {
    const first = laid.strings[0]!;
    const second = laid.strings.find((s) => s.place?.tracker !== first.place?.tracker && s.modules === first.modules)!;
    const y = withStringAt(laid, second.id, { ...first.place!, branch: 2 });
    const input = checksOf('strings', y).find(
      (c) => c.id === 'strings.input-connector' && c.value !== null && c.value > 30,
    );
    expect(input?.value).toBeCloseTo(35.525, 9);
    expect(input?.verdict).toBe('stop');
    expect(verifyLayout(y).map((v) => v.predicate)).toContain('V05');
  });
  const written = (report: unknown): unknown => JSON.parse(JSON.stringify(report));
  it('are the same with a memo, whatever is moved', () => {
    const memo = new Memo();
    let d: SiteDesign = laid;
    fc.assert(
      fc.property(
        fc.nat(laid.strings.length - 1),
        fc.integer({ min: 1, max: 10 }),
        fc.integer({ min: 1, max: 2 }),
        (n, tracker, input) => {
          d = withStringAt(d, laid.strings[n]!.id, { inverterId: 'inv-1', tracker, input, branch: 1 });
          expect(written(assessSite(d, memo))).toEqual(written(assessSite(d)));
        },
      ),
      { numRuns: 30, seed: 3 },
    );
  });
  it('compute again only what a move touches', () => {
    const memo = new Memo();
    const before = new Set(assessSite(laid, memo).checks);
    const free = { inverterId: 'inv-1', tracker: 10, input: 2, branch: 1 as const };
    const after = assessSite(withStringAt(laid, laid.strings[0]!.id, free), memo).checks;
    const touched = new Set(['INV-01', laid.inverters.find((u) => u.id === laid.strings[0]!.place!.inverterId)!.tag]);
    const fresh = after.filter((c) => !before.has(c) && c.id.startsWith('strings.') && c.subject.element !== 'module');
    expect(fresh.length).toBeGreaterThan(0);
    expect(fresh.filter((c) => ![...touched].some((tag) => c.subject.path.startsWith(tag)))).toEqual([]);
  });
});

it('a survey that names the school but no building leaves the limit unknown, never holding', () => {
  const d = siteOf(1, [plane('p', 34)]);
  const nec = {
    ...withStrings(d, legalLayout(d).strings),
    survey: { ...SURVEY, school: 'NEC' as const, building: null },
  };
  expect(
    new Set(
      checksOf('strings', nec)
        .filter((c) => c.id === 'strings.uoc-cold')
        .map((c) => c.verdict),
    ),
  ).toEqual(new Set(['unknown']));
});

it('connectors and reverse current keep 1.25 where the maker states the tracker’s limit for standard conditions', () => {
  const of = (shortCircuitLimitIsStc: boolean) => trackerCurrents(M575, { ...T100, shortCircuitLimitIsStc }, 1, 2);
  expect([of(true).shortCircuitA, of(false).shortCircuitA]).toEqual([
    expect.closeTo(28.42, 9),
    expect.closeTo(35.525, 9),
  ]);
  expect([of(true).inputA, of(true).reverseA]).toEqual([of(false).inputA, of(false).reverseA]);
  expect(of(true).inputA).toBeCloseTo(17.7625, 9);
});

it('a site with a stamped cold voltage takes it from the plane, with its document from the survey', () => {
  const survey = { ...SURVEY, school: 'NEC' as const, coldMethod: 'engineered' as const, engineeredDocument: 'E-12' };
  expect(coldOnSite(survey, plane('p', 17, { engineeredUocColdV: 56 }), M575, 250_000).value).toMatchObject({
    uocColdV: 56,
    factor: expect.closeTo(56 / 51.62, 12),
  });
  expect(coldOnSite(survey, plane('p', 17), M575, 250_000).missing).toEqual(['engineered cold voltage of M575']);
});

describe('lengths of home runs', () => {
  const d = siteOf(2, [plane('p', 34, { edgeM: 0, position: { xM: 0, yM: 10, zM: 6 } })]);
  const at = (inverterId: string) => ({ inverterId, tracker: 1, input: 1, branch: 1 as const });
  const lengthOf = (string: Partial<PvString>, over: Partial<SiteDesign> = {}) =>
    homeRunLengths({ ...d, ...over, strings: [{ ...newString('s', 1, 'p', 17, at('inv-1')), ...string }] }).get('s');
  const reckoned = 1.1 * (3 + 10 + 4.8);

  it('a measured one belongs to the inverter it was measured to: hung elsewhere it is reckoned from the places', () => {
    expect(lengthOf({ lengthM: 33, lengthToId: 'inv-1' })).toBe(33);
    expect(lengthOf({ lengthM: 33, lengthToId: 'inv-2' })).toBeCloseTo(reckoned, 9);
    expect(lengthOf({ lengthM: 33, lengthToId: 'inv-2', place: at('inv-2') })).toBe(33);
    expect(lengthOf({ lengthM: 33, lengthToId: null })).toBeCloseTo(reckoned, 9);
    expect(lengthOf({ lengthM: 33, lengthToId: 'inv-1', place: null })).toBeNull();
  });
  it('a string edited with a length has it measured to where it hangs', () => {
    const s = { ...newString('s', 1, 'p', 17, at('inv-2')), lengthM: 21 };
    expect(applyEdit(d, { kind: 'string', string: s }).strings[0]?.lengthToId).toBe('inv-2');
    expect(applyEdit(d, { kind: 'strings', strings: [s] }).strings[0]?.lengthToId).toBe('inv-2');
    expect(applyEdit(d, { kind: 'string', string: { ...s, lengthToId: 'inv-1' } }).strings[0]?.lengthToId).toBe(
      'inv-1',
    );
  });
  it('none is of no length: a plane and an inverter in one place leave it unknown', () => {
    const here = d.inverters.map((u) => ({ ...u, position: { xM: 0, yM: 10, zM: 6 } }));
    expect(lengthOf({}, { inverters: here })).toBeNull();
    const drop = checksOf('strings', { ...d, inverters: here, strings: [newString('s', 1, 'p', 17, at('inv-1'))] });
    expect(drop.find((c) => c.id === 'strings.home-run-drop')?.verdict).toBe('unknown');
  });
});

describe('a Y on a site', () => {
  const d = siteOf(1, [plane('p', 34)], { ...T100, connectorMaxA: 50 });
  const at = (branch: 1 | 2) => ({ inverterId: 'inv-1', tracker: 1, input: 1, branch });
  const y = (yM: number | null, lengthM = 30): SiteDesign => {
    const measured = { lengthM, lengthToId: 'inv-1' };
    return withStrings(d, [
      { ...newString('a', 1, 'p', 17, at(1)), ...measured },
      { ...newString('b', 2, 'p', 17, at(2)), ...measured, yM },
    ]);
  };
  const of = (id: string, design: SiteDesign) => checksOf('strings', design).filter((c) => c.id === id);

  it('is asked where it sits, at both its strings, and unknown until somebody says', () => {
    for (const id of ['strings.cable-current', 'strings.home-run-drop'])
      expect(of(id, y(null)).map((c) => [c.verdict, c.working[0]])).toEqual([
        ['unknown', 'Missing: where the Y of tracker 1, input 1 sits: metres from it to the input'],
        ['unknown', 'Missing: where the Y of tracker 1, input 1 sits: metres from it to the input'],
      ]);
  });
  it('carries both strings on the shared part, and is no Y beyond the home run it lies on', () => {
    expect(of('strings.cable-current', y(10)).map((c) => c.value)).toEqual([
      expect.closeTo(35.525, 9),
      expect.closeTo(35.525, 9),
    ]);
    const [alone, shared] = [of('strings.home-run-drop', y(0))[0]!, of('strings.home-run-drop', y(10))[0]!];
    expect(shared.value! / alone.value!).toBeCloseTo(40 / 30, 9);
    expect(of('strings.home-run-drop', y(31))[0]?.working[0]).toMatch(
      /31 m from the input is beyond the home run of 30\.0 m/,
    );
  });
});

it('what rests on a sheet that itself stops is unknown, of a module and of an inverter', () => {
  const d = siteOf(1, [plane('p', 34)]);
  const laid = { ...withStrings(d, legalLayout(d).strings), survey: { ...SURVEY, lineV: 400 } };
  const { modules, inverters } = laid.equipment;
  const wrong = {
    module: { ...laid, equipment: { inverters, modules: [{ ...M575, impA: 14.3 }] } },
    inverter: { ...laid, equipment: { modules, inverters: [{ ...T100, startV: 1001 }] } },
  };
  const judged = (design: SiteDesign, element: string) =>
    assessSite(design).checks.filter(
      // Whether strings of one tracker are alike no sheet has to say.
      (c) => c.subject.element === element && !c.id.endsWith('.sheet') && c.id !== 'strings.tracker-mix',
    );
  for (const [name, elements] of [
    ['module', ['string', 'tracker']],
    ['inverter', ['string', 'tracker', 'inverter', 'run', 'lug', 'board']],
  ] as const)
    for (const element of elements) {
      const checks = judged(wrong[name], element);
      expect(checks.length, `${name} ${element}`).toBeGreaterThan(0);
      expect(new Set(checks.map((c) => c.verdict)), `${name} ${element}`).toEqual(new Set(['unknown']));
    }
  expect(judged(laid, 'string').some((c) => c.verdict === 'holds')).toBe(true);
});
