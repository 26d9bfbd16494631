import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { remembering, withLockedRestored, withStringAt, withStrings } from '../arrange';
import type { SiteDesign } from '../../design';
import { newString } from '../../site/parts';
import { M575, SURVEY, T100, plane, siteOf } from '../../testing/examples';
import { legalLayout } from '../layout/legalLayout';
import { layoutProblem } from '../layout/problem';
import { windowOnSite } from '../window';
import { verifyLayout } from '.';
import { coldModuleV as verifiedColdV, fewestModules, mostV } from './sheetLimits';

describe('a lock on a string', () => {
  const d = siteOf(2, [plane('south', 170), plane('west', 96, { azimuthDeg: 270 })]);
  const laid = withStrings(d, legalLayout(d).strings);
  const string = laid.strings[0]!;
  const locked = {
    ...laid,
    locks: [remembering({ kind: 'string', stringId: string.id, built: true, kept: null }, laid.strings)],
  };
  const at = `INV-0${string.place!.inverterId.at(-1)}.${string.place!.tracker}.${string.place!.input}`;
  const said = (design: SiteDesign) =>
    verifyLayout(design)
      .filter((v) => v.predicate === 'V08')
      .map((v) => v.text);
  const changed = (over: object) => ({
    ...locked,
    strings: locked.strings.map((s) => (s.id === string.id ? { ...s, ...over } : s)),
  });

  it('remembers its place: moved, shortened, laid elsewhere or taken away it is broken, and the verifier says how', () => {
    expect(said(locked)).toEqual([]);
    expect(said(withStringAt(locked, string.id, { ...string.place!, tracker: 10, input: 2 }))).toEqual([
      `String ${string.number} is locked and hangs on ${at.split('.')[0]}.10.2 instead of ${at}.`,
    ]);
    expect(said(withStringAt(locked, string.id, null))).toEqual([
      `String ${string.number} is locked and hangs on no input instead of ${at}.`,
    ]);
    expect(said(changed({ modules: string.modules - 1 }))).toEqual([
      `String ${string.number} is locked and has ${string.modules - 1} modules instead of ${string.modules}.`,
    ]);
    expect(said(changed({ planeId: 'west' }))).toEqual([
      `String ${string.number} is locked and lies on west instead of south.`,
    ]);
    expect(said({ ...locked, strings: locked.strings.slice(1) })).toEqual([
      `String ${string.number} is locked and was taken away.`,
    ]);
  });
  it('is not pruned with what it is on: nothing takes a lock off but a hand', () => {
    expect(withStrings(locked, []).locks).toEqual(locked.locks);
    const onGone: SiteDesign = {
      ...locked,
      locks: [
        { kind: 'plane-length', planeId: 'gone', modules: 17 },
        { kind: 'inverter-empty', inverterId: 'gone' },
      ],
    };
    expect(said(onGone)).toEqual([
      'A lock is on a plane that is gone (gone).',
      'A lock is on an inverter that is gone (gone).',
    ]);
  });
  it('brings its string back when the site is laid out: there, as long, on its input, whoever hangs there now', () => {
    const other = locked.strings.find((s) => s.planeId === 'south' && s.id !== string.id)!;
    const without = {
      ...locked,
      strings: locked.strings
        .filter((s) => s.id !== string.id)
        .map((s) => (s.id === other.id ? { ...s, place: string.place } : s)),
    };
    const back = withLockedRestored(without);
    expect(back.strings.find((s) => s.id === string.id)).toMatchObject({
      modules: string.modules,
      place: string.place,
      planeId: 'south',
    });
    expect(back.strings.find((s) => s.id === other.id)?.place).toBeNull();
    const again = withStrings(without, legalLayout(without).strings);
    expect(verifyLayout(again)).toEqual([]);
  });
  it('on an inverter or a plane that is gone leaves no layout until it is taken off', () => {
    const gone = {
      ...locked,
      inverters: locked.inverters.filter((u) => u.id !== string.place!.inverterId),
      strings: [],
    };
    expect(layoutProblem(gone, 'legal').missing).toEqual([
      `the inverter of locked string ${string.number}, or its lock taken off`,
    ]);
    expect(layoutProblem({ ...locked, planes: locked.planes.slice(1), strings: [] }, 'legal').missing).toEqual([
      `the plane of locked string ${string.number}, or its lock taken off`,
    ]);
  });
});

it('counts strings as fused only by a fuse that protects: not too small, too large, or of no rating made', () => {
  const three = { ...T100, inputsPerTracker: 3, trackerShortCircuitMaxA: 70 };
  const d = siteOf(1, [plane('p', 51)], three);
  const strings = [1, 2, 3].map((n) =>
    newString(`s${n}`, n, 'p', 17, { inverterId: 'inv-1', tracker: 1, input: n, branch: 1 }),
  );
  const broken = (fuseA: number | null) =>
    verifyLayout({ ...withStrings(d, strings), dcCable: { ...d.dcCable, fuseA } }).map((v) => v.predicate);
  expect([25, null, 20, 30, 24].map(broken)).toEqual([[], ['V12'], ['V12'], ['V12'], ['V12']]);
});

it('the verifier finds the window of a string by a path of its own: as the layout does, on 2000 random sheets', () => {
  const vary = (lo: number, hi: number) => fc.double({ min: lo, max: hi, noNaN: true });
  const sheets = fc.record({
    uocV: vary(36, 54),
    beta: vary(-0.0034, -0.0022),
    gamma: vary(-0.0045, -0.0025),
    nmotC: fc.integer({ min: 40, max: 50 }),
    coldestC: fc.integer({ min: -39, max: 10 }),
    hottestC: fc.integer({ min: 25, max: 48 }),
    dcMaxV: fc.constantFrom(1000, 1100, 1500),
    mpptMinV: vary(150, 550),
    startV: vary(150, 550),
    mounting: fc.constantFrom('pitched_gap' as const, 'flush' as const, 'pitched_close' as const),
    coldMethod: fc.constantFrom('coefficient' as const, 'table' as const),
    tolerance: fc.constantFrom(null, 0, 3),
    school: fc.constantFrom('IEC' as const, 'NEC' as const),
    building: fc.constantFrom(
      'one- or two-family dwelling' as const,
      'other building' as const,
      'not on a building' as const,
    ),
  });
  fc.assert(
    fc.property(sheets, (x) => {
      const module = {
        ...M575,
        uocV: x.uocV,
        umpV: 0.83 * x.uocV,
        betaUocPerK: x.beta,
        gammaPmaxPerK: x.gamma,
        nmotC: x.nmotC,
        uocTolerancePercent: x.tolerance,
      };
      const type = {
        ...T100,
        dcMaxV: x.dcMaxV,
        mpptMinV: x.mpptMinV,
        startV: x.startV,
        fullPowerMinV: null,
        fullPowerMaxV: null,
      };
      const survey = {
        ...SURVEY,
        coldestC: x.coldestC,
        hottestC: x.hottestC,
        coldMethod: x.coldMethod,
        school: x.school,
        building: x.building,
        countUocTolerance: x.tolerance !== null,
      };
      const lies = plane('p', 20, { mounting: x.mounting });
      const sound = { ...module, pmaxW: module.umpV * module.impA };
      const w = windowOnSite(survey, lies, sound, type, 250_000).value;
      if (!w) return;
      const oneV = verifiedColdV(sound, lies, survey, 250_000) ?? NaN;
      expect(Math.abs(oneV / w.uocColdV - 1)).toBeLessThan(1e-12);
      expect(mostV(sound, type, survey)).toBe(w.limitV);
      expect(Math.floor(mostV(sound, type, survey) / oneV + 1e-9)).toBe(w.maxModules);
      expect(fewestModules(sound, lies, type, survey)).toBe(w.minModules);
    }),
    { numRuns: 2000, seed: 9 },
  );
});
