import { describe, expect, it } from 'vitest';
import { generator } from '../../kernel/generator';
import { costsOf, field, unit } from '../../testing/chainFields';
import type { BusLimits } from './busSplit';
import { cutChain, splitOverBuses } from './busSplit';
import type { Costs } from './costs';
import { lengthOfM } from './costs';

const budget = (kicks: number) => ({ kicks, timeLimitS: Infinity, nowS: () => 0 });
const limits = (over: Partial<BusLimits> = {}): BusLimits => ({ buses: 2, mostUnits: 3, mostM: Infinity, ...over });
const total = (costs: Costs, buses: readonly (readonly number[])[]) =>
  buses.reduce((sum, b) => sum + lengthOfM(costs, [0, ...b]), 0);

/** The least of all splits into ordered buses, one by one. */
function tried(costs: Costs, { buses, mostUnits, mostM }: BusLimits): number {
  const step = (routes: readonly (readonly number[])[], left: readonly number[]): number => {
    const [unit0, ...rest] = left;
    if (unit0 === undefined)
      return routes.every((r) => lengthOfM(costs, [0, ...r]) <= mostM) ? total(costs, routes) : Infinity;
    let least = Infinity;
    for (const [at, r] of routes.entries()) {
      if (r.length >= mostUnits) continue;
      for (let i = 0; i <= r.length; i++)
        least = Math.min(least, step(routes.with(at, [...r.slice(0, i), unit0, ...r.slice(i)]), rest));
    }
    return least;
  };
  return step(
    Array.from({ length: buses }, () => []),
    costs.map((_, v) => v).slice(1),
  );
}

describe('units split over buses', () => {
  it('take what the least of all splits takes, tried one by one', () => {
    const random = generator(23);
    for (let round = 0; round < 12; round++) {
      const n = 3 + Math.floor(random() * 4);
      const costs = costsOf([
        ['LOG', 20, 10, 1.2],
        ...Array.from({ length: n }, (_, i) => unit(`U${i}`, 40 * random(), 20 * random())),
      ]);
      const of = limits({ mostUnits: Math.ceil(n / 2) + (round % 2), mostM: round % 3 ? Infinity : 90 });
      const least = tried(costs, of);
      if (least === Infinity) {
        expect(() => splitOverBuses(costs, of, 1, budget(400))).toThrow(/mostM/);
        continue;
      }
      const found = splitOverBuses(costs, of, 1, budget(400));
      expect(found.lengthM).toBeCloseTo(least, 9);
      expect(found.lengthM).toBeCloseTo(total(costs, found.buses), 9);
      expect(found.boundM).toBeLessThanOrEqual(found.lengthM * (1 + 1e-9));
      expect(found.buses.flat().sort((a, b) => a - b)).toEqual(costs.map((_, v) => v).slice(1));
      for (const b of found.buses) {
        expect(b.length).toBeLessThanOrEqual(of.mostUnits);
        expect(lengthOfM(costs, [0, ...b])).toBeLessThanOrEqual(of.mostM);
      }
    }
  });
  it('take at most 5408.815 m over a field of two hundred, 29 a bus; the bound is over 4455', () => {
    const costs = field(200, 3, 400, 200);
    const found = splitOverBuses(costs, limits({ buses: 7, mostUnits: 29 }), 1, budget(6000));
    expect(found.buses).toHaveLength(7);
    expect(found.lengthM).toBeLessThanOrEqual(5408.815);
    expect(found.boundM).toBeGreaterThan(4455);
    expect(found.boundM).toBeLessThanOrEqual(found.lengthM);
    for (const b of found.buses) expect(b.length).toBeLessThanOrEqual(29);
  });
  it('are the same for the same seed, and the search stops with its time', () => {
    const costs = field(24, 9, 100, 50);
    const at = (seed: number) => splitOverBuses(costs, limits({ buses: 3, mostUnits: 9 }), seed, budget(60));
    expect(at(4)).toEqual(at(4));
    let looks = 0;
    splitOverBuses(costs, limits({ buses: 3, mostUnits: 9 }), 1, {
      kicks: 1e9,
      timeLimitS: 5,
      nowS: () => (looks += 1),
    });
    expect(looks).toBeLessThan(30);
  });
  it('are refused where they do not fit', () => {
    const costs = field(7, 1, 80, 40);
    expect(() => splitOverBuses(costs, limits(), 1, budget(1))).toThrow(/room for all units \(got 2 of 3 for 7\)/);
    expect(() => splitOverBuses(costs, limits({ buses: 3, mostM: 5 }), 1, budget(1))).toThrow(/mostM/);
    expect(() => splitOverBuses(costs, limits({ buses: 0 }), 1, budget(1))).toThrow(RangeError);
    expect(splitOverBuses([[0]], limits(), 1, budget(3))).toEqual({ buses: [], lengthM: 0, boundM: 0 });
  });
});

describe('a chain that is cut', () => {
  // Units at 10, 20, 30 and −10 m of the logger, on one line; no slack but 5 %, two metres of ends.
  const costs = costsOf([['LOG', 0, 0, 1.2], unit('A', 10), unit('B', 20), unit('C', 30), unit('D', -10)]);
  it('begins every piece at its nearer end', () => {
    // One way round: D, A, B, C; the cut lies behind D.
    expect(cutChain(costs, [4, 1, 2, 3], limits())).toEqual([[4], [1, 2, 3]]);
    expect(cutChain(costs, [3, 2, 1, 4], limits())).toEqual([[1, 2, 3], [4]]);
  });
  it('has no cut where a bus would be too long, or too many are left', () => {
    expect(cutChain(costs, [4, 1, 2, 3], limits({ mostM: 20 }))).toBeNull();
    expect(cutChain(costs, [4, 1, 2, 3], limits({ mostUnits: 1 }))).toBeNull();
    expect(cutChain(costs, [4, 1, 2, 3], limits({ buses: 1, mostUnits: 4 }))).toEqual([[4, 1, 2, 3]]);
  });
});
