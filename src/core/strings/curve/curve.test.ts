import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { ModuleType } from '../../equipment/moduleType';
import { M575 } from '../../testing/examples';
import { currentAt, maximumPower, moduleModel, openVoltageV, parametersAt, residualA, voltageAt } from './diode';
import type { LitString } from './tracker';
import { evenString, mismatch, stringCurrentA, stringVoltageV, trackerMaximum } from './tracker';

export const M430: ModuleType = {
  ...M575,
  id: 'm430',
  name: 'M430',
  pmaxW: 430,
  uocV: 38.72,
  iscA: 13.94,
  umpV: 32.2,
  impA: 13.36,
  alphaIscPerK: 0.00045,
  betaUocPerK: -0.0026,
  gammaPmaxPerK: -0.003,
  nmotC: 44,
  cellsInSeries: 54,
  bifaciality: 0,
};
const model = moduleModel(M575)!;
const model430 = moduleModel(M430)!;
const close = (x: number, want: number, relative: number) =>
  expect(Math.abs(x / want - 1), `${x} against ${want}`).toBeLessThan(relative);

/** Points of the 575 W module's curve: light W/m², cell °C, voltage V, current A, computed once with another implementation of De Soto's model. */
const POINTS: readonly (readonly [number, number, number, number])[] = [
  [1000, 25, 0, 14.21],
  [1000, 25, 5, 14.190669],
  [1000, 25, 10, 14.171339],
  [1000, 25, 15, 14.152008],
  [1000, 25, 20, 14.132675],
  [1000, 25, 25, 14.113312],
  [1000, 25, 30, 14.093466],
  [1000, 25, 35, 14.065957],
  [1000, 25, 37.5, 14.030338],
  [1000, 25, 40, 13.91889],
  [1000, 25, 42.5, 13.527827],
  [1000, 25, 45, 12.277731],
  [1000, 25, 47.5, 9.271151],
  [1000, 25, 50, 4.188504],
  [1000, 65, 0, 14.471228],
  [1000, 65, 5, 14.451897],
  [1000, 65, 10, 14.432565],
  [1000, 65, 15, 14.413219],
  [1000, 65, 20, 14.393718],
  [1000, 65, 25, 14.372431],
  [1000, 65, 30, 14.330748],
  [1000, 65, 35, 14.063045],
  [1000, 65, 37.5, 13.462755],
  [1000, 65, 40, 11.875351],
  [1000, 65, 42.5, 8.609182],
  [1000, 65, 45, 3.510247],
  [800, 45, 0, 11.474566],
  [800, 45, 5, 11.459099],
  [800, 45, 10, 11.443632],
  [800, 45, 15, 11.428163],
  [800, 45, 20, 11.412681],
  [800, 45, 25, 11.397011],
  [800, 45, 30, 11.378848],
  [800, 45, 35, 11.327511],
  [800, 45, 37.5, 11.218504],
  [800, 45, 40, 10.86013],
  [800, 45, 42.5, 9.770015],
  [800, 45, 45, 7.148014],
  [800, 45, 47.5, 2.554005],
  [200, 25, 0, 2.844057],
  [200, 25, 5, 2.840189],
  [200, 25, 10, 2.83632],
  [200, 25, 15, 2.832451],
  [200, 25, 20, 2.828581],
  [200, 25, 25, 2.824705],
  [200, 25, 30, 2.820716],
  [200, 25, 35, 2.814941],
  [200, 25, 37.5, 2.806929],
  [200, 25, 40, 2.780833],
  [200, 25, 42.5, 2.683943],
  [200, 25, 45, 2.324446],
  [200, 25, 47.5, 1.14596],
];

describe('five parameters from a data sheet (De Soto 2006)', () => {
  it('are 1.80597 V, 14.2229 A, 5.41291e-12 A, 0.233901 Ω, 258.422 Ω for the 575 W module', () => {
    close(model.reference.aV, 1.80597, 1e-5);
    close(model.reference.lightA, 14.2229, 1e-5);
    close(model.reference.saturationA, 5.41291e-12, 1e-4);
    close(model.reference.seriesOhm, 0.233901, 1e-5);
    close(model.reference.shuntOhm, 258.422, 1e-4);
    close(model.idealityFactor, 0.976272, 1e-5);
    expect(model.fallback).toBe(false);
  });
  it('fall back on a chosen shunt for the 430 W module, whose β fits no curve', () => {
    expect(model430.fallback).toBe(true);
    close(model430.reference.aV, 1.26595, 1e-5);
    close(model430.reference.lightA, 13.94093, 1e-6);
    close(model430.reference.saturationA, 7.25506e-13, 1e-4);
    close(model430.reference.seriesOhm, 0.184928, 1e-5);
    close(model430.reference.shuntOhm, 2777.62, 1e-5);
    close(model430.betaPerK, -0.0021276, 1e-3);
  });
  it.each([M575, M430])('reproduce the sheet of $name to 1e-6', (m) => {
    const p = parametersAt(moduleModel(m)!, 1000, 25);
    const top = maximumPower(p);
    close(currentAt(p, 0), m.iscA, 1e-6);
    close(openVoltageV(p), m.uocV, 1e-6);
    close(top.voltageV, m.umpV, 1e-6);
    close(top.currentA, m.impA, 1e-6);
  });
  it('do not exist for a sheet that describes no curve', () => {
    expect(moduleModel({ ...M575, umpV: 51, impA: 14.2 })).toBeNull();
  });
  it.each([
    [1000, 25, 575.232, 42.8, 13.44, 51.62, 14.21],
    [1000, 65, 504.9402, 37.33429, 13.52484, 46.39732, 14.47123],
    [800, 45, 434.53097, 40.219019, 10.804117, 48.589181, 11.474566],
    [200, 25, 114.09355, 42.320462, 2.695943, 48.714847, 2.844057],
  ])('at %d W/m² and %d °C give %d W at %d V, %d A; %d V open, %d A shorted', (g, c, w, v, a, open, short) => {
    const p = parametersAt(model, g, c);
    const top = maximumPower(p);
    close(top.powerW, w, 1e-6);
    close(top.voltageV, v, 1e-6);
    close(top.currentA, a, 1e-6);
    close(openVoltageV(p), open, 1e-6);
    close(currentAt(p, 0), short, 1e-6);
  });
  it.each(POINTS)('at %d W/m² and %d °C carry at %d V %d A, and give that voltage at that current', (g, c, v, a) => {
    const p = parametersAt(model, g, c);
    expect(currentAt(p, v)).toBeCloseTo(a, 5);
    if (v > 0) expect(voltageAt(p, currentAt(p, v))).toBeCloseTo(v, 6);
  });
  it('are those of an independent solution: bisection on the equation itself', () => {
    for (const [g, c, v] of POINTS) {
      const p = parametersAt(model, g, c);
      let [lo, hi] = [-1, 2 * p.lightA];
      for (let n = 0; n < 200; n++) {
        const mid = (lo + hi) / 2;
        if (residualA(p, v, mid) > 0) lo = mid;
        else hi = mid;
      }
      expect(currentAt(p, v)).toBeCloseTo(lo, 9);
    }
  });

  it('solve the equation to 1e-9 A everywhere, and both ways agree to 1e-7 A', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 1400, noNaN: true }),
        fc.double({ min: -20, max: 90, noNaN: true }),
        fc.double({ min: 0, max: 1.05, noNaN: true }),
        fc.constantFrom(model, model430),
        (g, c, share, m) => {
          const p = parametersAt(m, g, c);
          const v = share * openVoltageV(p);
          const i = currentAt(p, v);
          expect(Math.abs(residualA(p, v, i))).toBeLessThan(1e-9);
          expect(Math.abs(residualA(p, voltageAt(p, i), i))).toBeLessThan(1e-9);
          expect(Math.abs(currentAt(p, voltageAt(p, i)) - i)).toBeLessThan(1e-7);
        },
      ),
      { numRuns: 400, seed: 7 },
    );
  });
});

describe('trackers (both strings inside 200 to 1000 V)', () => {
  const window = { minV: 200, maxV: 1000 };
  const at = (m: typeof model, modules: number, g: number, c: number) => evenString(parametersAt(m, g, c), modules, 3);
  it.each([
    ['east beside west', at(model, 18, 820, 48.575), at(model, 18, 430, 37.3625), 12192.97, 722.69, 12230.27, 0.30495],
    ['18 beside 17', at(model, 18, 1000, 55), at(model, 17, 1000, 55), 18164.43, 672.66, 18295.63, 0.71707],
    ['18 beside 15', at(model, 18, 1000, 55), at(model, 15, 1000, 55), 16283.48, 603.67, 17250.16, 5.60392],
    ['two types', at(model, 18, 1000, 55), at(model430, 18, 1000, 55), 14896.21, 552.68, 16549.86, 9.99193],
    [
      'two types, voltages matched',
      at(model, 16, 1000, 55),
      at(model430, 21, 1000, 55),
      16694.32,
      619.81,
      16694.5,
      0.00111,
    ],
  ])('%s', (_, a, b, parallelW, voltageV, separateW, loss) => {
    const found = mismatch([a, b], window);
    expect(found.parallel.powerW).toBeCloseTo(parallelW, 1);
    expect(found.parallel.voltageV).toBeCloseTo(voltageV, 1);
    expect(found.separateW).toBeCloseTo(separateW, 1);
    expect(found.lossPercent).toBeCloseTo(loss, 3);
  });

  it('lose a quarter when two orientations are put in series', () => {
    const [east, west] = [parametersAt(model, 820, 48.575), parametersAt(model, 430, 37.3625)];
    const series: LitString = [
      { parameters: east, count: 9, bypassDiodes: 3 },
      { parameters: west, count: 9, bypassDiodes: 3 },
    ];
    const point = trackerMaximum([series], window);
    expect(point.powerW).toBeCloseTo(4563.32, 1);
    expect(point.voltageV).toBeCloseTo(767.46, 0);
  });

  it('find the summit that shade moves, and miss it where the tracker stops at 700 V', () => {
    const [sun, shade] = [parametersAt(model, 900, 45), parametersAt(model, 250, 45)];
    const string: LitString = [
      { parameters: sun, count: 15, bypassDiodes: 3, sections: 45 },
      { parameters: shade, count: 3, bypassDiodes: 3, sections: 9 },
    ];
    const point = trackerMaximum([string], window);
    expect(point.powerW).toBeCloseTo(7261.42, 1);
    expect(point.voltageV).toBeCloseTo(597.99, 1);
    expect(trackerMaximum([string], { minV: 700, maxV: 1000 }).powerW).toBeCloseTo(3087.58, 0);
    expect(trackerMaximum([evenString(sun, 18, 3)], window).powerW).toBeCloseTo(8779.29, 1);
  });

  it('a string inverted by search and by formula carries the same', () => {
    const p = parametersAt(model, 700, 40);
    const split: LitString = [
      { parameters: p, count: 9, bypassDiodes: 3 },
      { parameters: p, count: 9, bypassDiodes: 3 },
    ];
    for (const v of [0, 300, 700, 820, 900])
      expect(stringCurrentA(split, v)).toBeCloseTo(stringCurrentA(evenString(p, 18, 3), v), 7);
    expect(stringVoltageV(split, 5)).toBeCloseTo(18 * voltageAt(p, 5), 9);
  });
});
