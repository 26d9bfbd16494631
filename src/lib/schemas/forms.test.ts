import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { M575 } from '$core/testing/examples';
import { plane } from '$core/testing/examples';
import {
  COEFFICIENT_UNITS,
  halfPlace,
  moduleFormFindings,
  moduleFromForm,
  moduleToForm,
  planeFromForm,
  planeToForm,
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
