import { describe, expect, it } from 'vitest';
import type { MilpAnswer } from '../../kernel/milp';
import { LARGE, SECOND_WALL } from '../../testing/walls';
import { byProgram } from './byProgram';
import { wallProgram } from './wallProgram';

const problem = { ...SECOND_WALL, obstructions: [], units: [LARGE, LARGE] };
const time = { nowS: () => 0, timeLimitS: 1 };
const found = {
  places: [
    { xMm: 2000, yMm: 600 },
    { xMm: 4000, yMm: 600 },
  ],
  cost: 8000,
  bound: 5000,
  proof: 'gap',
} as const;
/** A solver that answers with these places, whatever is true. */
function says(places: readonly (readonly [number, number])[] | null, over: Partial<MilpAnswer> = {}) {
  const { milp, placesOf } = wallProgram(problem);
  const values = milp.columns.map(() => 0);
  // The columns of a unit's place are those that move it.
  places?.forEach(([x, y], i) => {
    for (const [mm, key] of [
      [x, 'xMm'],
      [y, 'yMm'],
    ] as const) {
      const column = milp.columns.findIndex((_, c) => {
        const moved = milp.columns.map((_c, k) => (k === c ? 1 : 0));
        return placesOf(moved)[i]?.[key] === problem.gridMm;
      });
      values[column] = mm / problem.gridMm;
    }
  });
  const answer: MilpAnswer = { status: 'feasible', values: places ? values : null, bound: 0, ...over };
  return () => answer;
}

describe('a layout taken on by a solver', () => {
  it('is the cheaper one, by its own cable and not by what the solver says', () => {
    const better = byProgram(
      problem,
      found,
      time,
      says([
        [2650, 600],
        [4200, 600],
      ]),
    );
    expect(better.places).toEqual([
      { xMm: 2650, yMm: 600 },
      { xMm: 4200, yMm: 600 },
    ]);
    // 5800 − 3175 and 5800 − 4725 across; 200 up to the tray and 1100 to the board, each.
    expect(better).toMatchObject({ cost: 2625 + 1075 + 2 * 1300, bound: 5000, proof: 'gap' });
  });
  it('stays what it was where the solver found nothing better, or something that breaks a rule', () => {
    const close = says([
      [3000, 600],
      [4200, 600],
    ]);
    expect(byProgram(problem, found, time, close).places).toEqual(found.places);
    expect(byProgram(problem, found, time, says(null)).cost).toBe(8000);
    const stacked = says([
      [4200, 600],
      [4200, 2000],
    ]);
    expect(byProgram(problem, found, time, stacked).cost).toBeLessThan(8000);
    expect(byProgram({ ...problem, stacking: false }, found, time, stacked).cost).toBe(8000);
  });
  it('takes the higher bound, never one over the best', () => {
    // The tray's way to the board, 1100 mm for each of two, is in the bound of the site and not of the program.
    expect(byProgram(problem, found, time, says(null, { bound: 4000 })).bound).toBeCloseTo(6200, 1);
    expect(byProgram(problem, found, time, says(null, { bound: 90_000 })).bound).toBe(8000);
    expect(byProgram(problem, found, time, says(null, { bound: -Infinity })).bound).toBe(5000);
  });
  it('is proved where the solver proves just that cost, and where it proves that nothing fits', () => {
    const best = [
      [2650, 600],
      [4200, 600],
    ] as const;
    expect(byProgram(problem, found, time, says(best, { status: 'optimal', bound: 4100 })).proof).toBe('proved');
    expect(byProgram(problem, found, time, says(best, { status: 'optimal', bound: 4000 })).proof).toBe('gap');
    const nothing = { places: null, cost: Infinity, bound: 5000, proof: 'gap' } as const;
    expect(byProgram(problem, nothing, time, says(null, { status: 'infeasible' }))).toEqual({
      places: null,
      cost: Infinity,
      bound: Infinity,
      proof: 'proved',
    });
    // One that hangs is not argued away.
    expect(byProgram(problem, found, time, says(null, { status: 'infeasible' }))).toEqual(found);
  });
});
