import highsLoader from 'highs';
import { beforeAll, describe, expect, it, vi } from 'vitest';
import { generator } from '$core/kernel/generator';
import type { MilpSolver } from '$core/kernel/milp';
import type { WallProblem } from '$core/mounting/wall/problem';
import { wallLayout } from '$core/mounting/wall/wallLayout';
import { wallProgram } from '$core/mounting/wall/wallProgram';
import { verifyWall } from '$core/mounting/verify/verifyWall';
import { LARGE, SECOND_WALL, SMALL, pipe } from '$core/testing/walls';
import { highsSolver } from './highsSolver';

vi.setConfig({ testTimeout: 120_000 });
let solver: MilpSolver;
beforeAll(async () => {
  solver = highsSolver(await highsLoader());
});
const nowS = () => performance.now() / 1000;
/** By the program alone. */
function programmed(p: WallProblem) {
  const { milp, constantMm } = wallProgram(p);
  const { status, values, bound } = solver(milp, { timeLimitS: 60 });
  const cost = values
    ? milp.columns.reduce((sum, c, i) => sum + c.cost * (values[i] as number), constantMm)
    : Number.POSITIVE_INFINITY;
  return { status, cost, bound: bound + constantMm };
}

/** A wall of up to four units of two kinds, with things in the way, stacking or not, either school of gaps. */
function randomWall(seed: number): WallProblem {
  const next = generator(seed + 900);
  const mm = (from: number, to: number) => Math.round((from + next() * (to - from)) / 100) * 100;
  const units = Array.from({ length: 1 + Math.floor(next() * 3) }, () => (next() < 0.5 ? LARGE : SMALL));
  return {
    ...SECOND_WALL,
    face: {
      ...SECOND_WALL.face,
      widthMm: mm(4500, 9000),
      topMostMm: next() < 0.4 ? 2000 : null,
      leftOpen: next() < 0.3,
    },
    obstructions: next() < 0.7 ? [{ ...pipe(mm(800, 3300)), xMm: mm(500, 4000), blocksAir: next() < 0.5 }] : [],
    boardXMm: mm(0, 9000),
    trayMm: next() < 0.5 ? mm(200, 2500) : null,
    units,
    gaps: next() < 0.5 ? 'larger' : 'sum',
    stacking: next() < 0.6,
    gridMm: 100,
  };
}

describe('the program of a wall, solved by HiGHS', () => {
  it('costs what the search proves, on walls small enough for both', () => {
    let proved = 0;
    for (let seed = 0; seed < 30; seed++) {
      const p = randomWall(seed);
      const found = wallLayout(p, { nowS, timeLimitS: 3 });
      // Where a unit fits the wall nowhere by itself the program is not asked.
      if (found.bound === Number.POSITIVE_INFINITY) continue;
      const { cost } = programmed(p);
      expect(cost, `wall ${seed}`).toBeGreaterThanOrEqual(found.bound - 1e-3);
      expect(cost, `wall ${seed}`).toBeLessThanOrEqual(found.cost + 1e-3);
      if (found.proof === 'proved') proved += 1;
    }
    // Proved by both is the same to the millimetre: bound and cost are one.
    expect(proved).toBeGreaterThan(15);
  });
  it('says so where nothing fits though each unit would by itself', () => {
    const full = { ...SECOND_WALL, face: { ...SECOND_WALL.face, widthMm: 3800, heightMm: 2200 }, obstructions: [] };
    expect(programmed({ ...full, units: [LARGE, LARGE, LARGE] }).status).toBe('infeasible');
  });
  it('proves what the search leaves open: five large and two small on twelve metres', () => {
    const p: WallProblem = {
      ...SECOND_WALL,
      face: { ...SECOND_WALL.face, widthMm: 12_000 },
      boardXMm: 11_800,
      units: [LARGE, LARGE, LARGE, LARGE, LARGE, SMALL, SMALL],
    };
    const alone = wallLayout(p, { nowS, timeLimitS: 1 });
    const both = wallLayout(p, { nowS, timeLimitS: 60, solver });
    expect(alone.proof).toBe('gap');
    expect(both).toMatchObject({ proof: 'proved', cost: 29_175 });
    expect(both.cost).toBeLessThan(alone.cost);
    expect(both.bound).toBeGreaterThan(alone.bound);
    const places = both.places ?? [];
    const around = { ...p.face, obstructions: p.obstructions, gaps: p.gaps };
    expect(
      verifyWall(
        around,
        p.units.map((u, i) => ({ ...u, ...places[i]! })),
      ),
    ).toEqual([]);
  });
});
