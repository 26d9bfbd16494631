import { describe, expect, it } from 'vitest';
import { gridFarV } from '../../testing/lineGrid';
import type { Network } from './network';
import { stepResponse } from './stepResponse';

const LINE = { impedanceOhm: 120, capacitors: [] };
/** One line without loss of so many nanoseconds, a resistance at its far end. */
const line = (delayNs: number, farOhm: number, over: Partial<Network> = {}): Network => ({
  ...LINE,
  sections: [{ from: 0, to: 1, delayNs, loopOhm: 0 }],
  acrossS: [0, farOhm === Infinity ? 0 : 1 / farOhm],
  ...over,
});
const at = (volts: Float64Array | undefined, stepNs: number, ns: number) =>
  volts?.[Math.min(volts.length - 1, Math.round(ns / stepNs))] ?? NaN;

/** Reflection at resistances: E·Z₀/(R_s + Z₀)·(1 + Γ_L)·Σ(Γ_s·Γ_L)^k, any text on transmission lines (recalled). */
describe('a line between two resistances', () => {
  it.each([
    [2.5, 36, Infinity, [3.846154, 1.775148, 2.890305, 2.289836, 2.613165], 2.5],
    [2.5, 36, 120, [1.923077, 1.923077, 1.923077], 1.923077],
    [2.5, 36, 60, [1.282051, 1.512163, 1.553465, 1.560878, 1.562209], 1.5625],
    [2.5, 36, 240, [2.564103, 2.103879, 2.186483, 2.171657], 2.173913],
    [5, 15, Infinity, [8.888889, 1.975309, 7.352538, 3.170248, 6.42314], 5],
  ])('%s V behind %s Ω into %s Ω arrives by and by', (openV, ohm, farOhm, arrivals, rests) => {
    const { volts } = stepResponse(line(100, farOhm), { openV, ohm, riseNs: 0, at: 0 }, [1], 5);
    arrivals.forEach((v, n) => expect(at(volts[0], 5, 100 + 200 * n + 50)).toBeCloseTo(v, 5));
    expect(volts[0]?.at(-1)).toBeCloseTo(rests, 3);
  });
  it('sees −1/3 back and lets 2/3 on at a tee, 1/2 at a hub of four', () => {
    for (const [arms, on] of [
      [2, 2 / 3],
      [3, 1 / 2],
    ] as const) {
      const sections = [
        { from: 0, to: 1, delayNs: 100, loopOhm: 0 },
        ...Array.from({ length: arms }, (_, i) => ({ from: 1, to: 2 + i, delayNs: 100, loopOhm: 0 })),
      ];
      const acrossS = [0, 0, ...Array.from({ length: arms }, () => 1 / 120)];
      const { volts } = stepResponse(
        { ...LINE, sections, acrossS },
        { openV: 2, ohm: 120, riseNs: 0, at: 0 },
        [0, 1, 2],
        5,
      );
      expect(at(volts[1], 5, 150)).toBeCloseTo(on, 9);
      expect(at(volts[2], 5, 250)).toBeCloseTo(on, 9);
      expect(at(volts[0], 5, 250)).toBeCloseTo(on, 9);
    }
  });
  it('turns what passes a crossing, and rests where nothing leads', () => {
    const sections = [{ from: 0, to: 1, delayNs: 100, loopOhm: 0, crossed: true }];
    const { volts } = stepResponse(
      { ...LINE, sections, acrossS: [0, 1 / 120, 0] },
      { openV: 2, ohm: 120, riseNs: 0, at: 0 },
      [1, 2],
      5,
    );
    expect(volts[0]?.at(-1)).toBeCloseTo(-1, 9);
    expect(volts[1]?.at(-1)).toBe(0);
  });
});

describe('a capacitor', () => {
  const capped = (farad: number, seriesOhm: number, farOhm: number) =>
    line(100, farOhm, { capacitors: [{ at: 1, farad, seriesOhm }] });
  // V[1 − (RC/t_r)(e^{t_r/RC} − 1)e^{−t/RC}], R = Z₀ beside the terminator.
  it('at a matched end charges through both', () => {
    const { volts } = stepResponse(capped(1e-9, 0, 120), { openV: 2, ohm: 120, riseNs: 20, at: 0 }, [1], 1);
    for (const [ns, v] of [
      [60, 0.56338697],
      [120, 0.83937904],
      [200, 0.95766077],
    ] as const)
      expect(at(volts[0], 1, 100 + ns)).toBeCloseTo(v, 3);
  });
  // E[1 − ½e^{−t/((Z₀ + R)C)}].
  it('in a terminator lets the wave through and then lets go', () => {
    const { volts } = stepResponse(capped(10e-9, 120, Infinity), { openV: 2, ohm: 120, riseNs: 0, at: 0 }, [1], 5);
    for (const [us, v] of [
      [0, 1],
      [1, 1.3407594],
      [2.4, 1.6321206],
      [4.8, 1.8646647],
    ] as const)
      expect(at(volts[0], 5, 100 + 1000 * us + 5)).toBeCloseTo(v, 2);
  });
});

describe('loss', () => {
  /** 250 m in ten hops of 0.07 Ω/m, weak driver, nothing at the far end. */
  const hops = Array.from({ length: 10 }, (_, i) => ({ from: i, to: i + 1, delayNs: 150, loopOhm: 1.75 }));
  const open: Network = { impedanceOhm: 120, sections: hops, acrossS: Array.from({ length: 11 }, () => 0) };
  it('agrees with the telegraph equations on a grid', () => {
    const { volts } = stepResponse(open, { openV: 2.5, ohm: 36, riseNs: 100, at: 0 }, [10], 5);
    const grid = gridFarV({
      impedanceOhm: 120,
      delayNsPerM: 6,
      lossOhmPerM: 0.07,
      lengthM: 250,
      openV: 2.5,
      sourceOhm: 36,
      riseNs: 100,
      farOhm: 1e12,
      cells: 1000,
      untilNs: 8500,
    });
    for (const [ns, wave, byGrid] of [
      [2000, 3.596311, 3.596568],
      [5000, 2.020931, 2.020327],
      [8000, 2.70853, 2.708592],
    ] as const) {
      expect(at(volts[0], 5, ns)).toBeCloseTo(wave, 5);
      expect(grid(ns)).toBeCloseTo(byGrid, 3);
      expect(Math.abs(at(volts[0], 5, ns) - grid(ns))).toBeLessThan(0.005);
    }
  });
  it('divides at rest as resistances do: 1.600698 V near, 1.396973 V far', () => {
    const ended = { ...open, acrossS: open.acrossS.map((_, i) => (i === 0 || i === 10 ? 1 / 120 : 0)) };
    const { volts } = stepResponse(ended, { openV: 2.5, ohm: 36, riseNs: 100, at: 0 }, [0, 10], 5);
    expect(volts[0]?.at(-1)).toBeCloseTo(1.600698, 4);
    expect(volts[1]?.at(-1)).toBeCloseTo(1.396973, 4);
  });
});

it('wants a step, an impedance, a driver and a place that are there', () => {
  const driver = { openV: 1, ohm: 50, riseNs: 0, at: 0 };
  expect(() => stepResponse(line(10, 120), driver, [1], 0)).toThrow(/stepNs/);
  expect(() => stepResponse(line(10, 120, { impedanceOhm: 0 }), driver, [1], 1)).toThrow(/impedanceOhm/);
  expect(() => stepResponse(line(10, 120), { ...driver, ohm: 0 }, [1], 1)).toThrow(/ohm/);
  expect(() => stepResponse(line(10, 120), { ...driver, at: 2 }, [1], 1)).toThrow(/at must/);
});
