import highsLoader from 'highs';
import { beforeAll, describe, expect, it, vi } from 'vitest';
import type { MilpSolver } from '$core/kernel/milp';
import type { LayoutProblem } from '$core/strings/layout/problem';
import { compareObjectives, objectiveOf } from '$core/strings/layout/objective';
import { levelSearch } from '$core/strings/layout/levelSearch';
import { startLayout } from '$core/strings/layout/start';
import { bruteForce } from '$core/testing/bruteForce';
import { highsSolver } from './highsSolver';

vi.setConfig({ testTimeout: 60_000 });
let solver: MilpSolver;
beforeAll(async () => {
  solver = highsSolver(await highsLoader());
});
const solve = (problem: LayoutProblem, timeLimitS = 20) =>
  levelSearch(problem, solver, { timeLimitS, nowS: () => performance.now() / 1000 });

interface Spec {
  readonly planes: readonly (readonly [modules: number, x: number, y: number])[];
  readonly units: readonly (readonly [
    x: number,
    trackers: number,
    inputs: number,
    ratedW: number,
    dcMaxW: number,
    min: number,
    max: number,
  ])[];
}

/** A problem of 575 W modules at places on level ground, each plane a class of its own. */
function problemOf({ planes, units }: Spec): LayoutProblem {
  return {
    planes: planes.map(([modules, xM, yM], i) => ({
      id: `p${i}`,
      label: `p${i}`,
      classKey: `c${i}`,
      modules,
      moduleW: 575,
      position: { xM, yM, zM: 0 },
      edgeM: 0,
      edgeDeg: 0,
    })),
    units: units.map(([xM, trackers, inputs, ratedW, dcMaxW], i) => ({
      id: `u${i}`,
      tag: `U${i}`,
      ratedW,
      dcMaxW,
      trackers,
      inputs,
      position: { xM, yM: 0, zM: 0 },
      empty: false,
    })),
    windows: planes.map(() => units.map(([, , inputs, , , min, max]) => ({ min, max, parallel: inputs }))),
    wayM: planes.map(([, x, y]) => units.map(([ux]) => 2.2 * (Math.abs(x - ux) + Math.abs(y)))),
    frozen: [],
    frozenFit: true,
    before: [],
    maxLengths: null,
    ratioMin: null,
    ratioMax: null,
    useAll: false,
  };
}

describe('worked instances, each also found by exhaustive search', () => {
  it.each([
    [
      'one plane of 100 on one unit',
      { planes: [[100, 20, 5]], units: [[0, 3, 2, 50_000, 75_000, 14, 19]] },
      { unused: 0, balanceBand: 0, distinctLengths: 2, homeRunM: 330, lengthSpread: 1, doubled: 3 },
    ],
    [
      'east 57 and west 61 on two units',
      {
        planes: [
          [57, 10, 20],
          [61, 30, 20],
        ],
        units: [
          [0, 3, 2, 30_000, 45_000, 14, 19],
          [40, 3, 2, 30_000, 45_000, 14, 19],
        ],
      },
      { unused: 0, balanceBand: 0, distinctLengths: 4, homeRunM: 616, lengthSpread: 2, doubled: 2 },
    ],
    [
      '71, 40 and 13 on a 4 × 1 and a 2 × 2 unit',
      {
        planes: [
          [71, 5, 30],
          [40, 50, 10],
          [13, 25, 0],
        ],
        units: [
          [0, 4, 1, 36_000, 54_000, 15, 19],
          [60, 2, 2, 25_000, 37_500, 15, 17],
        ],
      },
      { unused: 15, balanceBand: 8, distinctLengths: 4, homeRunM: 792, lengthSpread: 2, doubled: 0 },
    ],
  ] as const)('%s', (_, spec, wanted) => {
    const problem = problemOf(spec as Spec);
    const solved = solve(problem);
    expect(solved.proof).toBe('optimal');
    expect(solved.objective).toEqual({ ...wanted, homeRunM: expect.closeTo(wanted.homeRunM, 6) });
    expect(solved.bound).toEqual(solved.objective);
    expect(bruteForce(problem)).toEqual(solved.objective);
  });
});

it('agrees with exhaustive search on 200 random small instances, and never starts from anything better', () => {
  let seed = 20_26;
  const next = (n: number) => ((seed = (seed * 48_271) % 2_147_483_647), seed % n);
  for (let i = 0; i < 200; i++) {
    const lo = 5 + next(4);
    const units = Array.from({ length: 1 + next(2) }, (_, u) => {
      const rated = 5_000 + 1_000 * next(12);
      return [30 * u + next(9), 1 + next(3), 1 + next(2), rated, 1.5 * rated, lo, lo + 1 + next(2)] as const;
    });
    const planes = Array.from({ length: 1 + next(2) }, () => [next(36), next(40), next(20)] as const);
    const problem = problemOf({ planes, units });
    const solved = solve(problem);
    const reference = bruteForce(problem);
    const said = JSON.stringify({ planes, units, solved: solved.objective, reference });
    expect(solved.proof, said).toBe('optimal');
    for (const [level, value] of Object.entries(reference ?? {}))
      expect(solved.objective[level as keyof typeof solved.objective], `${level} ${said}`).toBeCloseTo(value, 6);
    const start = objectiveOf(problem, startLayout(problem).counts);
    expect(compareObjectives(start, solved.objective), said).toBeGreaterThanOrEqual(0);
  }
}, 120_000);
