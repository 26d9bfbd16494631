import { describe, expect, it } from 'vitest';
import type { GivenCurves } from './curves';
import { apartByCurves, apartTo, branchCurveOf, mainCurveOf } from './curves';

const points = (...of: readonly (readonly [currentA: number, timeS: number])[]) =>
  of.map(([currentA, timeS]) => ({ currentA, timeS }));

/** Straight over both logarithms: t = k / I² through 1000 A and 100 s, and the same a hundred times faster. */
const SQUARE = points([1000, 100], [10_000, 1]);

describe('curves of time over current', () => {
  it('are straight over both logarithms: two I²t lines a decade of current apart never meet', () => {
    expect(apartTo(SQUARE, points([1000, 1], [10_000, 0.01]))).toBe(Infinity);
  });
  it('meet where their lines cross', () => {
    // 1e8 / I² of the main against a branch that clears in 4 s whatever flows: at I = √(1e8 / 4) = 5000 A.
    expect(apartTo(SQUARE, points([500, 4], [20_000, 4]))).toBeCloseTo(5000, 6);
    // Against a branch that falls with the first power, 5e4 / I: 1e8 / I² = 5e4 / I at 2000 A.
    expect(apartTo(SQUARE, points([1000, 50], [50_000, 1]))).toBeCloseTo(2000, 6);
  });
  it('say nothing under a tenth of a second, however fast the branch is', () => {
    // A main of 1e8 / I² · 1/100 is at 0.1 s at √(1e6 / 0.1) = 3162 A.
    expect(apartTo(points([100, 100], [10_000, 0.01]), points([100, 0.01], [10_000, 0.001]))).toBeCloseTo(
      Math.sqrt(1e7),
      6,
    );
  });
  it('count from the first point of the branch on, and there the main may be first already', () => {
    expect(apartTo(SQUARE, points([1000, 100], [10_000, 0.5]))).toBeNull();
    expect(apartTo(SQUARE, points([1000, 99], [10_000, 0.5]))).toBe(Infinity);
    // Left of its first point a main is no faster than there.
    expect(apartTo(SQUARE, points([200, 90], [10_000, 0.5]))).toBe(Infinity);
    expect(apartTo(SQUARE, points([200, 110], [10_000, 0.5]))).toBeNull();
    // Right of its last point a branch is no slower than there.
    expect(apartTo(SQUARE, points([200, 50], [400, 3]))).toBeCloseTo(Math.sqrt(1e8 / 3), 6);
    expect(apartTo(SQUARE, points([20_000, 3], [40_000, 1]))).toBe(Infinity);
  });
  it('fall at once where the maker prints a step', () => {
    const stepped = points([1000, 100], [4999, 50], [5000, 0.3], [50_000, 0.3]);
    const at = apartTo(stepped, points([300, 60], [600, 1], [50_000, 1]));
    expect(at).toBeGreaterThan(4999);
    expect(at).toBeLessThan(5000);
  });
});

const given = (over: Partial<GivenCurves> = {}): GivenCurves => ({
  mainCurve: [
    { currentA: 10_000, opensS: 1 },
    { currentA: 1000, opensS: 100 },
  ],
  branchCurves: [160, 250].flatMap((breakerA) => [
    { breakerA, currentA: 2 * breakerA, clearsS: 50 },
    { breakerA, currentA: 20 * breakerA, clearsS: 0.05 },
  ]),
  ...over,
});

describe('a main beside its branches', () => {
  it('takes the curve of every rating, in whatever order its points were typed', () => {
    expect(mainCurveOf(given())).toEqual(SQUARE);
    expect(branchCurveOf(given(), 250)).toEqual(points([500, 50], [5000, 0.05]));
    expect(apartByCurves(given(), [160, 250, 160], 9000)?.value).toMatchObject({ toA: Infinity, onOverload: true });
  });
  it('leaves it to its settings while one of them is not given', () => {
    expect(apartByCurves(given(), [160, 200], 9000)).toBeNull();
    expect(apartByCurves(given({ mainCurve: [] }), [160], 9000)).toBeNull();
    expect(apartByCurves(given(), [], 9000)).toBeNull();
  });
  it('goes by the branch that it is least apart from', () => {
    const slow = given({
      branchCurves: given().branchCurves.map((p) => (p.breakerA === 250 && p.clearsS < 1 ? { ...p, clearsS: 4 } : p)),
    });
    const { value } = apartByCurves(slow, [160, 250], 9000) ?? {};
    expect(value?.toA).toBeCloseTo(5000, 6);
    expect(value?.words).toMatch(/after a branch of 250 A is through up to 5000 A$/);
    const never = apartByCurves(
      given({
        branchCurves: [
          { breakerA: 900, currentA: 1100, clearsS: 99 },
          { breakerA: 900, currentA: 9000, clearsS: 0.1 },
        ],
      }),
      [900],
      9000,
    );
    expect(never?.value).toMatchObject({ toA: 0, onOverload: false });
  });
  it('tells of overload where the branch is given from twice its rating', () => {
    const from = (currentA: number) =>
      apartByCurves(
        given({
          branchCurves: [
            { breakerA: 160, currentA, clearsS: 50 },
            { breakerA: 160, currentA: 5000, clearsS: 0.05 },
          ],
        }),
        [160],
        9000,
      )?.value?.onOverload;
    expect([from(320), from(321)]).toEqual([true, null]);
  });
  it('is not known beyond where the main is given, where a branch begins behind the fault, or by what is no trip curve', () => {
    const missing = (over: Partial<GivenCurves>, faultA = 9000) => apartByCurves(given(over), [160], faultA)?.missing;
    expect(missing({}, 10_000)).toEqual([]);
    expect(missing({}, 10_001)).toEqual(['curve of the main breaker up to 10001 A']);
    expect(missing({}, 300)).toEqual(['curve of a 160 A breaker below 300 A']);
    const slow = [
      { breakerA: 160, currentA: 320, clearsS: 100 },
      { breakerA: 160, currentA: 3200, clearsS: 0.1 },
    ];
    expect(missing({ branchCurves: slow })).toEqual(['curve of the main breaker from 320 A']);
    const main = (...of: readonly (readonly [number, number])[]) =>
      missing({ mainCurve: of.map(([currentA, opensS]) => ({ currentA, opensS })) });
    const falls = ['curve of the main breaker that falls'];
    expect(main([1000, 1], [10_000, 2])).toEqual(falls);
    expect(main([1000, 5], [1000, 4], [10_000, 2])).toEqual(falls);
    expect(main([10_000, 2])).toEqual(falls);
    expect(main([1000, 60], [2000, 60], [10_000, 60])).toEqual([]);
    const rising = [
      { breakerA: 160, currentA: 320, clearsS: 1 },
      { breakerA: 160, currentA: 640, clearsS: 2 },
    ];
    expect(missing({ branchCurves: rising })).toEqual(['curve of a 160 A breaker that falls']);
  });
});
