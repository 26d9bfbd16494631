import { describe, expect, it } from 'vitest';
import { generator } from '../../kernel/generator';
import type { Device } from '../../testing/chainFields';
import { costsOf, field, unit } from '../../testing/chainFields';
import { chainBoundM } from './bound';
import type { Costs } from './costs';
import { lengthOfM } from './costs';
import { shortestPath } from './exact';
import { searchedPath } from './search';
import { shortestChain } from './shortestChain';

/** Three sites whose every order was tried by hand of a machine. */
const A = [['LOG', 0, 0, 1.5] as Device, ...[-2, 3, -7, 10, -15, 22, -27, 36].map((x, i) => unit(`I${i + 1}`, x))];
const B: readonly Device[] = [
  ['LOG', 0, 0, 1.8],
  ...(
    [
      [4, 0],
      [5, 12],
      [9, 0],
      [11, 12],
      [14, 0],
      [15, 12],
      [20, 3],
      [21, 12],
    ] as const
  ).map(([x, y], i) => unit(`I${i + 1}`, x, y)),
  unit('MTR', 12, 6, 1.6),
];
const C: readonly Device[] = [
  ['LOG', 3, 2, 1.5, 2],
  unit('I1', 11, 4),
  unit('I2', 18, 15),
  unit('I3', 7, 21),
  unit('I4', 26, 9, 4),
  unit('I5', 31, 22, 4),
  unit('I6', 15, 27),
  unit('I7', 38, 5, 4),
  unit('I8', 22, 2),
  unit('I9', 2, 13),
  ['RPT', 34, 14, 4, 0.5],
];
const MEASURED = { 'I2-I4': 46, 'I2-RPT': 52, 'I6-I5': 58, 'I2-I5': 50, 'I8-I4': 24 };

/** The least of all orders, one by one. */
function tried(costs: Costs, end: number | null): number {
  const step = (order: number[], left: readonly number[]): number =>
    left.length === 0
      ? end === null || order.at(-1) === end
        ? lengthOfM(costs, order)
        : Infinity
      : Math.min(
          ...left.map((v) =>
            step(
              [...order, v],
              left.filter((w) => w !== v),
            ),
          ),
        );
  return step([0], costs.map((_, v) => v).slice(1));
}
const budget = (kicks: number) => ({ kicks, timeLimitS: Infinity, nowS: () => 0 });
const best = (costs: Costs, end: number | null = null) => shortestChain(costs, end, 1, budget(0));

describe('the shortest chain, exactly', () => {
  it('is 110.815 m over eight units left and right of the logger, and its bound is the same', () => {
    const costs = costsOf(A);
    expect(best(costs).lengthM).toBeCloseTo(110.815, 9);
    expect(best(costs).proven).toBe(true);
    expect(chainBoundM(costs, null, 110.815)).toBeCloseTo(110.815, 6);
  });
  it('is 116.07 m over a tray with the meter at its end, 112.5 m where it may end anywhere', () => {
    const costs = costsOf(B, 3);
    expect(best(costs, 9).lengthM).toBeCloseTo(116.07, 9);
    expect(best(costs, 9).order.at(-1)).toBe(9);
    expect(best(costs).lengthM).toBeCloseTo(112.5, 9);
  });
  it('is 174.455 m where five routes are measured', () =>
    expect(best(costsOf(C, undefined, MEASURED)).lengthM).toBeCloseTo(174.455, 9));
  it('is 248.19 m over a field of fifteen', () => expect(best(field(15, 1, 80, 40)).lengthM).toBeCloseTo(248.19, 9));

  it('is the least of all orders, tried one by one, with and without a fixed end', () => {
    const random = generator(11);
    for (let round = 0; round < 30; round++) {
      const n = 2 + Math.floor(random() * 6);
      const costs = costsOf(
        Array.from({ length: n }, (_, i) => unit(`D${i}`, 40 * random(), 20 * random(), 4 * random())),
      );
      for (const end of [null, 1 + Math.floor(random() * (n - 1))]) {
        const found = best(costs, end);
        expect(found.lengthM).toBeCloseTo(tried(costs, end), 9);
        expect([...found.order].sort((a, b) => a - b)).toEqual(costs.map((_, v) => v));
        expect(lengthOfM(costs, found.order)).toBe(found.lengthM);
        expect(chainBoundM(costs, end, found.lengthM)).toBeLessThanOrEqual(found.lengthM * (1 + 1e-9));
        // The search finds the same on so few.
        expect(lengthOfM(costs, searchedPath(costs, end, 3, budget(40)))).toBeCloseTo(found.lengthM, 9);
      }
    }
  });
  it('is nothing for no device, the logger alone for one, and refuses more than it can try', () => {
    expect(shortestPath([], null)).toEqual([]);
    expect(shortestPath([[0]], null)).toEqual([0]);
    expect(() => shortestPath(field(16, 1, 80, 40), null)).toThrow(RangeError);
  });
});

describe('a short chain of many, searched', () => {
  it('is 727.64 m over a field of forty, which its bound proves', () => {
    const found = shortestChain(field(40, 2, 160, 60), null, 5, budget(400));
    expect(found.lengthM).toBeCloseTo(727.64, 6);
    expect(found.boundM).toBeGreaterThan(0.999 * 727.64);
  });
  it('lies at most 5 % over the possible on a field of two hundred', () => {
    const found = shortestChain(field(200, 3, 400, 200), null, 5, budget(30));
    expect(found.lengthM).toBeLessThan(1.05 * found.boundM);
    expect(found.boundM).toBeGreaterThan(4270);
    expect(found.boundM).toBeLessThanOrEqual(4441.555);
  });
  it('is the same for the same seed, stops with its time, and keeps its end', () => {
    const costs = field(24, 9, 100, 50);
    const at = (seed: number) => searchedPath(costs, 7, seed, budget(60));
    expect(at(4)).toEqual(at(4));
    expect(at(4).at(-1)).toBe(7);
    let looks = 0;
    searchedPath(costs, null, 1, { kicks: 1e9, timeLimitS: 5, nowS: () => (looks += 1) });
    expect(looks).toBeLessThan(10);
  });
});
