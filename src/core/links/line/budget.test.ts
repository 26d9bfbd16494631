import { describe, expect, it } from 'vitest';
import { loopOhm } from '../../conductor/metal';
import type { Bias } from './budget';
import {
  driverLoadOhm,
  idleV,
  largestBiasOhm,
  leastTerminatorNf,
  loadedOhm,
  loopLossDb,
  mostUnitLoads,
  quietStubM,
  shortAtM,
  terminatorW,
} from './budget';
import { ladderV } from './ladder';

/** Expected values are worked by hand from the formulas beside them; limits are those of TIA/EIA-485-A (recalled). */
const TWO = [120, 120];
const like = (ohm: number, supplyV = 5): Bias => ({ pullUpOhm: ohm, pullDownOhm: ohm, supplyV });

describe('driver load', () => {
  it.each([
    [TWO, 0, null, 60],
    [TWO, 4, null, 59.405941],
    [TWO, 16, null, 57.692308],
    [TWO, 28, null, 56.074766],
    [TWO, 32, null, 55.555556],
    [TWO, 4, 560, 56.4137],
    [TWO, 32, 560, 52.930057],
    [TWO, 28, 650, 53.75603],
    [TWO, 32, 650, 53.278689],
    [[120], 1.375, null, 119.18063],
    [[120, 120, 120], 1.375, null, 39.908543],
    [Array.from({ length: 11 }, () => 120), 1.375, null, 10.902277],
  ])('%j with %s unit loads and bias of %s Ω: %s Ω', (ohms, loads, bias, expected) =>
    expect(driverLoadOhm(ohms, loads, bias === null ? null : like(bias))).toBeCloseTo(expected, 5),
  );
  it('of a pair with nothing on it is none', () => expect(driverLoadOhm([], 0, null)).toBe(Infinity));
  it.each([
    [null, 44.444444],
    [650, 25.982906],
    [560, 23.015873],
    [450, 17.777778],
  ])('of 54 Ω leaves room for unit loads, bias %s Ω: %s', (bias, expected) =>
    expect(mostUnitLoads(54, TWO, bias === null ? null : like(bias))).toBeCloseTo(expected, 5),
  );
  it('is of resistors that are there', () => {
    expect(() => driverLoadOhm([0], 1, null)).toThrow(/terminatorOhm/);
    expect(() => driverLoadOhm([120], -1, null)).toThrow(/unitLoads/);
    expect(() => driverLoadOhm([120], 1, like(0))).toThrow(/pullUpOhm/);
    expect(() => driverLoadOhm([120], 1, like(560, 25))).toThrow(/supplyV/);
    expect(() => driverLoadOhm([120], 1, like(560, 0))).toThrow(/supplyV/);
  });
});

/** Supply, pull each, near, far, unit loads, loop, leak; then V near and far. */
const IDLE = [
  [5, 560, 120, 120, 32, 0, 0, 0.2362949, 0.2362949],
  [5, 650, 120, 120, 28, 0, 0, 0.206754, 0.206754],
  [5, 650, 120, 120, 32, 0, 0, 0.204918, 0.204918],
  [5, 450, 120, 120, 32, 0, 0, 0.2906977, 0.2906977],
  [5, 720, 120, 120, 0, 0, 0, 0.2, 0.2],
  [5, 560, 120, null, 32, 0, 0, 0.4227734, 0.4227734],
  [3.3, 560, 120, 120, 11, 0, 0, 0.1635282, 0.1635282],
  [3.3, 390, 120, 120, 11, 0, 0, 0.229845, 0.229845],
  [5, 560, 120, 120, 32, 84, 0, 0.3065921, 0.1692009],
  [5, 560, 120, 120, 4, 68.964, 0, 0.3060889, 0.1929707],
  [5, 560, 120, 120, 4, 0, 0.0005, 0.22364, 0.22364],
  [5, 560, 120, 120, 1.375, 17.241, 0, 0.269641, 0.2355637],
  [5, 560, 120, 120, 3.875, 202.112, 0, 0.3613974, 0.1330184],
  [5, 450, 120, 120, 3.875, 55.1712, 0, 0.3648141, 0.248398],
] as const;

describe('idle voltage', () => {
  it.each(IDLE)(
    '%s V, %s Ω each, terminators %s and %s, %s unit loads, loop %s Ω, leak %s A: %s and %s V',
    (supply, pull, near, far, unitLoads, loop, leakA, nearV, farV) => {
      const pair = { bias: like(pull, supply), nearOhm: [near], farOhm: far === null ? [] : [far], unitLoads, leakA };
      const found = idleV({ ...pair, loopOhm: loop });
      expect(found.nearV).toBeCloseTo(nearV, 6);
      expect(found.farV).toBeCloseTo(farV, 6);
      // The same two nodes as a chain of two.
      const ladder = ladderV({
        hopOhm: [loop],
        acrossS: [1 / (2 * pull) + 1 / near, (far === null ? 0 : 1 / far) + unitLoads / 24_000],
        intoA: [supply / (2 * pull), -leakA],
      });
      expect(ladder[0]).toBeCloseTo(nearV, 5);
      expect(ladder[1]).toBeCloseTo(farV, 5);
    },
  );
  it.each([
    [5, 0, 720],
    [5, 32, 666.66667],
    [3.3, 0, 465],
    [3.3, 4, 460.39604],
    [3.3, 32, 430.55556],
  ])('of 200 mV at %s V and %s unit loads wants resistors up to %s Ω', (supply, loads, expected) => {
    expect(largestBiasOhm(supply, loads, TWO)).toBeCloseTo(expected, 4);
    const pair = { nearOhm: [120], farOhm: [120], unitLoads: loads, loopOhm: 0 };
    expect(idleV({ ...pair, bias: like(largestBiasOhm(supply, loads, TWO), supply) }).farV).toBeCloseTo(0.2, 12);
  });
  it('is of inputs in their ranges', () => {
    const pair = { bias: like(560), nearOhm: [120], farOhm: [120], unitLoads: 1, loopOhm: 1 };
    expect(() => idleV({ ...pair, loopOhm: -1 })).toThrow(/loopOhm/);
    expect(() => idleV({ ...pair, farOhm: [-120] })).toThrow(/terminatorOhm/);
    expect(() => idleV({ ...pair, unitLoads: NaN })).toThrow(/unitLoads/);
  });
});

describe('the pair', () => {
  it.each([
    ['24 AWG', (Math.PI / 4) * (0.127 * 92 ** ((36 - 24) / 39)) ** 2, 1200, 20, 202.11175, 8.5765063, 0.55881228],
    ['0.22 mm²', 0.22, 600, 70, 112.52104, 5.74562, 0.77412351],
    ['0.34 mm²', 0.34, 300, 70, 36.403864, 2.3013247, 1.1508667],
    ['0.5 mm²', 0.5, 1200, 70, 99.018511, 5.2259915, 0.82184834],
  ])('of %s loses what its loop takes', (_, areaMm2, lengthM, tempC, ohm, db, farV) => {
    const loop = loopOhm(lengthM, areaMm2, tempC);
    expect(loop).toBeCloseTo(ohm, 4);
    expect(loopLossDb(loop, 120)).toBeCloseTo(db, 5);
    expect(1.5 * 10 ** (-db / 20)).toBeCloseTo(farV, 6);
  });
  it.each([
    [1.5, 0.01875],
    [2.5, 0.052083333],
    [5, 0.20833333],
    [6, 0.3],
  ])('heats a terminator at %s V by %s W', (v, w) => expect(terminatorW(v, 120)).toBeCloseTo(w, 8));
  it.each([
    [30, 3],
    [250, 25],
    [1000, 100],
  ])('of %s m wants %s nF in a terminator that blocks direct current', (m, nf) =>
    expect(leastTerminatorNf(m, 6, 120)).toBeCloseTo(nf, 9),
  );
  it.each([
    [10, 0.16666667],
    [20, 0.33333333],
    [50, 0.83333333],
    [100, 1.6666667],
    [250, 4.1666667],
    [500, 8.3333333],
    [1000, 16.666667],
  ])('with edges of %s ns bears a branch of %s m', (ns, m) => expect(quietStubM(ns, 6)).toBeCloseTo(m, 6));
  it.each([
    [60, 4, 105.24696],
    [60, 1, 80.903983],
    [15, 25, 119.28642],
  ])('with %s pF every %s m has a wave impedance of %s Ω', (pf, every, ohm) =>
    expect(loadedOhm(120, 50, pf, every)).toBeCloseTo(ohm, 5),
  );
  it('shorted 150 m off reads 9.5236 Ω past a terminator at 0.068964 Ω/m', () => {
    expect(shortAtM(9.5236166, 120, 0.068964)).toBeCloseTo(150, 4);
    expect(() => shortAtM(120, 120, 0.068964)).toThrow(/readOhm/);
  });
});
