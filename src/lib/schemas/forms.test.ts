import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { M575 } from '$core/testing/examples';
import { CABLE, plane } from '$core/testing/examples';
import { newString } from '$core/site/parts';
import { newDevice } from '$core/links/part';
import {
  COEFFICIENT_UNITS,
  chainDeviceForm,
  chainDeviceFromForm,
  chainDeviceToForm,
  dcCableForm,
  dcCableFromForm,
  dcCableToForm,
  energyForm,
  energyFromForm,
  energyToForm,
  halfAcceptance,
  halfPlace,
  moduleFormFindings,
  moduleFromForm,
  moduleToForm,
  planeFromForm,
  planeToForm,
  stringMeasuresToForm,
  stringWithMeasures,
} from './forms';

describe('coefficients as the sheet prints them', () => {
  it('V/K, mV/K and %/K mean the same per kelvin: −0.1295662 V/K, −129.5662 mV/K, −0.251 %/K of 51.62 V', () => {
    const form = moduleToForm(M575);
    const of = (unit: (typeof COEFFICIENT_UNITS)[number], beta: number, alpha: number, gamma: number) =>
      moduleFromForm('m575', { ...form, coefficientUnit: unit, beta, alpha, gamma }).betaUocPerK;
    expect(of('%/K', -0.251, 0.046, -0.298)).toBeCloseTo(-0.00251, 12);
    expect(of('V/K, A/K, W/K', -0.1295662, 0.0065366, -1.7135)).toBeCloseTo(-0.00251, 9);
    expect(of('mV/K, mA/K, mW/K', -129.5662, 6.5366, -1713.5)).toBeCloseTo(-0.00251, 9);
  });
  it('come back from the form as they went in', () => {
    fc.assert(
      fc.property(fc.integer({ min: -599, max: -181 }), fc.integer({ min: -49, max: 299 }), (beta, alpha) => {
        const m = { ...M575, betaUocPerK: beta / 1e5, alphaIscPerK: alpha / 1e5 };
        const back = moduleFromForm(m.id, moduleToForm(m));
        expect(back.betaUocPerK).toBeCloseTo(m.betaUocPerK, 12);
        expect(back.alphaIscPerK).toBeCloseTo(m.alphaIscPerK, 12);
      }),
    );
  });
  it('say beside the typed field when V/K was typed as %/K', () => {
    const wrong = { ...moduleToForm(M575), beta: -0.13 };
    expect(moduleFormFindings(wrong)).toEqual([
      expect.objectContaining({ path: 'beta', severity: 'error', text: expect.stringContaining('DS24') }),
    ]);
  });
});

describe('places', () => {
  it('are whole or not known, and go through the form unchanged', () => {
    const p = plane('south', 40);
    expect(planeFromForm(p.id, planeToForm(p))).toEqual(p);
    expect(planeFromForm(p.id, planeToForm({ ...p, position: null })).position).toBeNull();
    expect(halfPlace({ xM: 1, yM: null, zM: 2 }).map((f) => f.path)).toEqual(['yM']);
    expect(halfPlace({ xM: null, yM: null, zM: null })).toEqual([]);
  });
});

describe('an accepted drop', () => {
  const strings = [1, 2, 3, 4, 7, 12].map((n) => newString(`s-${n}`, n, 'p', 17));
  const cable = { ...CABLE, dropReason: 'long roof', dropMostPercent: 3, dropStringIds: ['s-1', 's-2', 's-3', 's-7'] };

  it('names its strings by number, runs drawn together, and reads them back', () => {
    const form = dcCableToForm(cable, strings);
    expect(form.dropStrings).toBe('1-3, 7');
    expect(dcCableFromForm(form, strings)).toEqual(cable);
    expect(dcCableFromForm({ ...form, dropStrings: '12; 2 - 4 1' }, strings).dropStringIds).toEqual([
      's-1',
      's-2',
      's-3',
      's-4',
      's-12',
    ]);
  });
  it('is refused where it is no list, or names a string that is not there', () => {
    const read = (dropStrings: string) =>
      dcCableForm.safeParse({ ...dcCableToForm(cable, strings), dropStrings }).success;
    expect([read('1, 2'), read(''), read('all'), read('1-'), read('12345')]).toEqual([true, true, false, false, false]);
    const flaws = (over: object) => halfAcceptance({ ...dcCableToForm(cable, strings), ...over }, strings);
    expect(flaws({})).toEqual([]);
    expect(flaws({ dropStrings: '1, 5-6' })).toEqual([
      { path: 'dropStrings', text: 'There is no string 5-6 on this site.' },
    ]);
  });
  it('wants reason, bound and strings together', () => {
    const flaws = (over: object) =>
      halfAcceptance({ ...dcCableToForm(cable, strings), ...over }, strings).map((f) => f.path);
    expect(flaws({ dropReason: '' })).toEqual(['dropReason']);
    expect(flaws({ dropMostPercent: null, dropStrings: '' })).toEqual(['dropMostPercent', 'dropStrings']);
    expect(flaws({ dropReason: '', dropMostPercent: null, dropStrings: '' })).toEqual([]);
  });
});

describe('the climate of a year, as it is typed', () => {
  const energy = {
    utcOffsetH: null,
    clearness: null,
    monthlyMeanC: [-1.5, 0, 3, 7, 12, 16, 18, 17, 13, 8, 4, 0.5],
    dailyRangeK: 8,
    albedo: 0.2,
    lossPercent: 3,
  };
  const flaws = (over: object) =>
    energyForm.safeParse({ ...energyToForm(energy), ...over }).error?.issues.map((i) => [...i.path, i.message]) ?? [];

  it('reads back what it shows, and a row copied from a table', () => {
    expect(energyFromForm(energyForm.parse(energyToForm(energy)))).toEqual(energy);
    const copied = energyForm.parse({ ...energyToForm(energy), clearness: ` ${Array(12).fill('0,5').join(';\t')} ` });
    expect(energyFromForm(copied).clearness).toEqual(Array(12).fill(0.5));
  });
  it('says which of twelve values is wrong', () => {
    expect(flaws({})).toEqual([]);
    expect(flaws({ clearness: '0.5 0.5' })).toEqual([['clearness', 'Give twelve values, January first.']]);
    expect(flaws({ clearness: `${'0.5 '.repeat(11)}5` })).toEqual([
      ['clearness', expect.stringMatching(/^Value 12: .*1/)],
    ]);
    expect(flaws({ monthlyMeanC: `${'4 '.repeat(3)}x ${'4 '.repeat(8)}` })).toEqual([
      ['monthlyMeanC', expect.stringMatching(/^Value 4: /)],
    ]);
  });
});

describe('what was measured belongs to where it was measured', () => {
  const place = { inverterId: 'inv-1', tracker: 1, input: 1, branch: 1 as const };
  it('a home run to the inverter its string hangs on, and is not shown where it hangs elsewhere', () => {
    const s = newString('s', 1, 'p', 17, place);
    const measured = stringWithMeasures(s, { lengthM: 40, leadsM: null, yM: null });
    expect(measured).toMatchObject({ lengthM: 40, lengthToId: 'inv-1' });
    expect(stringMeasuresToForm(measured).lengthM).toBe(40);
    expect(stringMeasuresToForm({ ...measured, place: { ...place, inverterId: 'inv-2' } }).lengthM).toBeNull();
    expect(stringWithMeasures(measured, { lengthM: null, leadsM: 12, yM: null })).toMatchObject({
      lengthM: null,
      lengthToId: null,
      leadsM: 12,
    });
  });
  it('a hop to the device before', () => {
    const [before, own] = [newDevice('a', 'logger', 'A'), newDevice('b', 'meter', 'B')];
    const typed = chainDeviceForm.parse({ ...chainDeviceToForm(own, null), hopM: 12 });
    expect(chainDeviceFromForm(own, before, typed)).toMatchObject({ hopM: 12, hopFromId: 'a' });
    expect(chainDeviceFromForm(own, null, typed).hopFromId).toBeNull();
    expect(chainDeviceFromForm(own, before, { ...typed, hopM: null }).hopFromId).toBeNull();
  });
});
