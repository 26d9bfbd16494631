import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sheetFindings } from '../equipment/moduleType';
import { COLD_BY, M575, SURVEY, T100, plane, siteOf } from '../testing/examples';
import { withStringAt, withStrings } from './arrange';
import { checksOf } from '../testing/checks';
import { rearGainOf, trackerCurrents } from './currents';
import { cutPlane } from './layout/cut';
import { legalLayout } from './layout/legalLayout';
import { maximumPowerV, openCircuitInLightV, openCircuitV } from './moduleAt';
import { cellTemperatureC, hotCellC } from './temperature';
import { verifyLayout } from './verify';
import type { WindowInputs } from './window';
import { coldReserveK, stringWindow } from './window';

const IEC_COEFFICIENT = {
  school: 'IEC',
  building: 'not on a building',
  cold: COLD_BY,
} as const;

const window = (over: Partial<WindowInputs> = {}) =>
  stringWindow({
    ...IEC_COEFFICIENT,
    module: M575,
    inverter: T100,
    mounting: 'pitched_gap',
    coldestC: -12,
    hottestC: 38,
    dcLegalMaxV: 1500,
    ...over,
  });

describe('data sheet sanity (usual values of silicon modules, common practice)', () => {
  it('finds nothing on a sound sheet', () => expect(sheetFindings(M575)).toEqual([]));
  it.each([
    ['DS02', { impA: 14.21, iscA: 13.44 }],
    ['DS03', { umpV: 51.62, uocV: 42.8 }],
    ['DS04', { pmaxW: 550 }],
    ['DS10', { betaUocPerK: 0.00251 }],
    ['DS11', { gammaPmaxPerK: 0.00298 }],
    ['DS24', { betaUocPerK: -0.001295662 }],
    ['DS23', { bifaciality: 80 }],
  ])('stops %s', (code, slip) => {
    const found = sheetFindings({ ...M575, ...slip });
    expect(found.find((f) => f.code === code)?.severity).toBe('error');
  });
  it('offers half the count when half cells were counted', () => {
    expect(sheetFindings({ ...M575, cellsInSeries: 144 }).find((f) => f.code === 'DS16')?.text).toContain('Use 72?');
  });
  it('says only what is missing when a main figure is missing', () => {
    expect(sheetFindings({ ...M575, impA: 0, betaUocPerK: 1 }).map((f) => f.code)).toEqual(['DS01']);
  });
});

describe('temperatures and voltages', () => {
  it('gives a 66.75 °C cell at 38 °C and 1000 W/m² with NMOT 43 °C (NOCT formula, IEC 61215)', () => {
    expect(cellTemperatureC(38, 1000, 43)).toBeCloseTo(66.75, 10);
    expect(cellTemperatureC(12, 0, 43)).toBe(12);
  });
  it('takes the larger offset where no air gets behind the module (common practice)', () => {
    expect(hotCellC(38, 43, 'flush')).toBeCloseTo(80, 10);
    expect(hotCellC(38, 43, 'pitched_gap')).toBeCloseTo(66.75, 10);
  });
  it('refuses an irradiance no sun gives', () =>
    expect(() => cellTemperatureC(20, 1700, 43)).toThrow(/irradianceWm2.*0 to 1600/));
  it('follows the coefficients of the sheet (IEC 60891)', () => {
    expect(openCircuitV(M575, -12)).toBeCloseTo(56.41395, 5);
    expect(openCircuitV(M575, 66.75)).toBeCloseTo(46.21061, 5);
    expect(maximumPowerV(M575, 66.75)).toBeCloseTo(36.65306, 5);
    expect(maximumPowerV(M575, -12)).toBeCloseTo(48.24758, 4);
  });
  it('lowers the voltage with the logarithm of light (single-diode model, a = 1.80597 V)', () => {
    expect(openCircuitInLightV(M575, 43.16, 720, 1.80597)).toBeCloseTo(48.63767, 4);
  });
});

describe('string window (IEC 62548-1, coefficient method)', () => {
  it('is 6 to 19, with full power from 15 to 17', () => {
    const { value: w } = window();
    expect([w?.minModules, w?.maxModules]).toEqual([6, 19]);
    expect(w?.preferred).toEqual({ min: 15, max: 17 });
  });
  it('ends at 17 under a legal limit of 1000 V', () =>
    expect(window({ dcLegalMaxV: 1000 }).value?.maxModules).toBe(17));
  it('allows a limit met exactly', () => {
    const limit = 19 * openCircuitV(M575, -12);
    expect(window({ inverter: { ...T100, dcMaxV: limit } }).value?.maxModules).toBe(19);
  });
  it('says by how many kelvin the coldest morning may be wrong', () => {
    const { value: w } = window();
    expect(w && coldReserveK(M575, w, 19)).toBeCloseTo(11.42881, 4);
  });
  it('has no window while an input is missing, and names it', () => {
    expect(window({ coldestC: null })).toEqual({ value: null, missing: ['lowest design temperature'] });
    expect(window({ inverter: { ...T100, startV: null } }).missing[0]).toContain('start-up voltage');
    expect(window({ module: { ...M575, betaUocPerK: 0.00251 } }).missing[0]).toContain('DS10');
  });
  it('says when module and inverter do not belong together', () => {
    expect(
      window({ inverter: { ...T100, mpptMinV: 990, fullPowerMinV: null, fullPowerMaxV: null } }).value?.notes[0]?.code,
    ).toBe('SW03');
  });
});

describe('tracker currents (NFPA 70 690.8(A)(1), 690.9(A); IEC 62548-1)', () => {
  it('gives 35.525 A for two strings and 26.88 A in operation', () => {
    const c = trackerCurrents(M575, T100, 1, 2);
    expect(c.shortCircuitA).toBeCloseTo(35.525, 6);
    expect(c.operatingA).toBeCloseTo(26.88, 6);
    expect(c.reverseA).toBeCloseTo(17.7625, 6);
    expect([c.maxByTracker, c.maxUnfused]).toEqual([2, 2]);
  });
  it('counts the rear side as it was typed: 39.3617 A with the share 0.135 of the nameplate ratio (IEC 61215-1, recalled)', () => {
    const gain = rearGainOf(M575, { label: 'p', rearShare: 0.135 }).value ?? NaN;
    expect(gain).toBeCloseTo(1.108, 12);
    expect(trackerCurrents(M575, T100, gain, 2).shortCircuitA).toBeCloseTo(39.3617, 4);
  });
  it('is unknown for a module that sees behind while nobody said what comes from there; the others need no share', () => {
    expect(rearGainOf(M575, { label: 'Hall', rearShare: null }).missing).toEqual(['rear-side share of Hall']);
    expect(rearGainOf({ ...M575, bifaciality: 0 }, { label: 'Hall', rearShare: null }).value).toBe(1);
  });
});

describe('layout', () => {
  it.each([
    [57, 14, 19, 0],
    [40, 15, 19, 2],
    [13, 14, 19, 13],
    [100, 14, 19, 0],
  ])('cuts %i modules into strings of %i to %i with %i left (arithmetic)', (modules, min, max, left) => {
    const cut = cutPlane(modules, { min, max });
    expect(modules - cut.reduce((a, b) => a + b, 0)).toBe(left);
    for (const n of cut) expect(n).toBeGreaterThanOrEqual(min);
    for (const n of cut) expect(n).toBeLessThanOrEqual(max);
  });

  it('is always legal and accounts for every module, whatever the planes', () => {
    const planes = fc.array(
      fc.record({
        count: fc.integer({ min: 0, max: 400 }),
        tilt: fc.constantFrom(5, 10, 30),
        azimuth: fc.constantFrom(90, 180, 270),
      }),
      { minLength: 1, maxLength: 6 },
    );
    fc.assert(
      fc.property(planes, fc.integer({ min: 1, max: 8 }), fc.integer({ min: 1, max: 3 }), (drawn, units, inputs) => {
        const site = siteOf(
          units,
          drawn.map((p, i) => plane(`p${i}`, p.count, { tiltDeg: p.tilt, azimuthDeg: p.azimuth })),
          { ...T100, inputsPerTracker: inputs },
        );
        const layout = legalLayout(site);
        const laid = withStrings(site, layout.strings);
        expect(verifyLayout(laid)).toEqual([]);
        for (const p of laid.planes) {
          const used = laid.strings.filter((s) => s.planeId === p.id).reduce((sum, s) => sum + s.modules, 0);
          const left = layout.remaining.filter((r) => r.planeId === p.id).reduce((sum, r) => sum + r.modules, 0);
          expect(used + left).toBe(p.moduleCount);
        }
        expect(layout.remaining.every((r) => r.reason.length > 0)).toBe(true);
      }),
      { numRuns: 150 },
    );
  });

  it('uses all modules where they fit, and balances DC/AC', () => {
    const site = siteOf(4, [
      plane('south', 340),
      plane('east', 170, { azimuthDeg: 90 }),
      plane('west', 170, { azimuthDeg: 270 }),
    ]);
    const layout = legalLayout(site);
    expect(layout.remaining).toEqual([]);
    const perUnit = site.inverters.map((i) =>
      layout.strings.filter((s) => s.place?.inverterId === i.id).reduce((sum, s) => sum + s.modules, 0),
    );
    expect(Math.max(...perUnit) - Math.min(...perUnit)).toBeLessThanOrEqual(34);
  });

  it('says why modules stay off when trackers or power run out', () => {
    expect(legalLayout(siteOf(1, [plane('p', 600)])).remaining[0]?.reason).toMatch(/tracker|power/);
    expect(legalLayout(siteOf(1, [plane('p', 600)], { ...T100, dcMaxW: 60_000 })).remaining[0]?.reason).toContain(
      'maximum DC power',
    );
  });

  it('lays nothing out while the design temperatures are unknown', () => {
    const site = siteOf(1, [plane('p', 60)]);
    const layout = legalLayout({ ...site, survey: { ...SURVEY, coldestC: null } });
    expect(layout.strings).toEqual([]);
    expect(layout.missing).toEqual(['lowest design temperature']);
  });

  describe('the verifier rejects', () => {
    const good = (() => {
      const site = siteOf(2, [plane('south', 160), plane('west', 80, { azimuthDeg: 270 })]);
      return withStrings(site, legalLayout(site).strings);
    })();
    const first = good.strings[0]!;
    const west = good.strings.find((s) => s.planeId === 'west')!;
    const predicates = (d: typeof good) => verifyLayout(d).map((v) => v.predicate);

    it('accepts the layout it starts from', () => expect(verifyLayout(good)).toEqual([]));
    it('mixed orientations on a tracker', () => {
      const spare = { ...west.place!, tracker: first.place!.tracker, inverterId: first.place!.inverterId, input: 2 };
      expect(predicates(withStringAt(good, west.id, spare))).toContain('V03');
    });
    it('a length over the window', () =>
      expect(predicates(withStrings(good, [{ ...first, modules: 20 }]))).toEqual(
        expect.arrayContaining(['V02', 'V11']),
      ));
    it('an input used twice', () =>
      expect(predicates(withStrings(good, [...good.strings, { ...first, id: 'again', number: 999 }]))).toContain(
        'V04',
      ));
    it('a string twice', () => expect(predicates(withStrings(good, [first, first]))).toContain('V07'));
    it('more modules than the plane has', () =>
      expect(predicates({ ...good, planes: good.planes.map((p) => ({ ...p, moduleCount: 10 })) })).toContain('V01'));
    it('too much current', () => {
      const weak = good.equipment.inverters.map((t) => ({ ...t, trackerShortCircuitMaxA: 15 }));
      expect(predicates({ ...good, equipment: { ...good.equipment, inverters: weak } })).toContain('V05');
    });
    it('too much power', () => {
      const weak = good.equipment.inverters.map((t) => ({ ...t, dcMaxW: 20_000 }));
      expect(predicates({ ...good, equipment: { ...good.equipment, inverters: weak } })).toContain('V06');
    });
  });
});

describe('checks of strings', () => {
  const site = siteOf(2, [plane('south', 320)]);
  const laid = withStrings(site, legalLayout(site).strings);

  it('hold on a sound layout', () => {
    expect(new Set(checksOf('strings', laid).map((c) => c.verdict))).toEqual(new Set(['holds']));
  });
  it('are unknown, never holding, while the cold temperature is missing', () => {
    const checks = checksOf('strings', { ...laid, survey: { ...SURVEY, coldestC: null } });
    const cold = checks.filter((c) => c.id === 'strings.uoc-cold');
    expect(cold.length).toBe(laid.strings.length);
    expect(cold.every((c) => c.verdict === 'unknown' && c.working[0]?.includes('lowest design temperature'))).toBe(
      true,
    );
  });
  it('say how far a 19-module string is from its limit: 1071.9 V on 1100 V', () => {
    const long = withStrings(laid, [{ ...laid.strings[0]!, modules: 19 }]);
    const cold = checksOf('strings', long).find((c) => c.id === 'strings.uoc-cold');
    expect(cold?.value).toBeCloseTo(19 * 56.41395, 3);
    expect(cold?.margin).toBeCloseTo(2.5577, 3);
    expect(cold?.verdict).toBe('holds');
  });
  it('call a string that hangs nowhere unknown', () => {
    const loose = withStringAt(laid, laid.strings[0]!.id, null);
    expect(checksOf('strings', loose).find((c) => c.id === 'strings.hung')?.verdict).toBe('unknown');
  });
});
