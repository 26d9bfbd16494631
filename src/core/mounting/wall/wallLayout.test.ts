import { describe, expect, it, vi } from 'vitest';
import { generator } from '../../kernel/generator';
import { FIRST_WALL, LARGE, SECOND_WALL, SMALL, pipe } from '../../testing/walls';
import { verifyWall } from '../verify/verifyWall';
import { candidatesFor } from './candidates';
import type { WallPlace, WallProblem, WallUnit } from './problem';
import { cableMm, gapBetween } from './problem';
import { fixesFor } from './whyNot';
import { wallLayout } from './wallLayout';

vi.setConfig({ testTimeout: 60_000 });

let ticks = 0;
/** A clock that moves a millisecond a look: what is searched does not hang on the machine. */
const time = (timeLimitS = 1e9) => ({ nowS: () => (ticks += 1) / 1000, timeLimitS });
const solve = (p: WallProblem) => wallLayout(p, time());
const verified = (p: WallProblem, places: readonly WallPlace[]) =>
  verifyWall(
    { ...p.face, obstructions: p.obstructions, gaps: p.gaps },
    p.units.map((u, i) => ({ ...u, ...(places[i] as WallPlace) })),
  );
const at = (places: readonly WallPlace[] | null) => places?.map((p) => [p.xMm, p.yMm]);

describe('worked walls, proved', () => {
  it.each([
    [
      'first, grid 100',
      { ...FIRST_WALL, gridMm: 100 },
      15225,
      [
        [1100, 600],
        [3000, 600],
        [6400, 600],
      ],
    ],
    [
      'first, grid 50',
      FIRST_WALL,
      15125,
      [
        [1100, 600],
        [3050, 600],
        [6450, 600],
      ],
    ],
    [
      'second, grid 200',
      { ...SECOND_WALL, gridMm: 200 },
      9525,
      [
        [2800, 600],
        [4400, 600],
        [4400, 2000],
      ],
    ],
    [
      'second, grid 100',
      { ...SECOND_WALL, gridMm: 100 },
      9525,
      [
        [2800, 600],
        [4400, 600],
        [4400, 2000],
      ],
    ],
    [
      'second, grid 50',
      SECOND_WALL,
      9325,
      [
        [2900, 600],
        [4450, 600],
        [4450, 2000],
      ],
    ],
  ])('%s', (_, problem, cost, places) => {
    const layout = solve(problem);
    expect([layout.proof, layout.cost, layout.bound]).toEqual(['proved', cost, cost]);
    expect(at(layout.places)).toEqual(places);
    expect(verified(problem, layout.places ?? [])).toEqual([]);
  });
  it('two kinds, cable weighted', () => {
    const heavy = { ...LARGE, cableWeight: 2 };
    const layout = solve({ ...FIRST_WALL, units: [heavy, heavy, SMALL] });
    expect([layout.proof, layout.cost]).toEqual(['proved', 22600]);
    expect(at(layout.places)).toEqual([
      [3050, 600],
      [6450, 600],
      [1450, 600],
    ]);
  });
  it('without stacking the second wall takes three in a row, and says what stacking saves', () => {
    const flat = solve({ ...SECOND_WALL, stacking: false });
    expect(flat.proof).toBe('proved');
    expect(flat.places?.every((p) => p.yMm === 600)).toBe(true);
    expect(flat.cost).toBeGreaterThan(9325);
  });
  it('the first wall is full with three: a fourth is refused with proof', () => {
    const layout = solve({ ...FIRST_WALL, units: [LARGE, LARGE, LARGE, LARGE] });
    expect(layout).toMatchObject({ places: null, proof: 'proved', bound: Number.POSITIVE_INFINITY });
  });
  it('and what would let the fourth hang is tried, one change at a time', () => {
    const fixes = fixesFor({ ...FIRST_WALL, units: [LARGE, LARGE, LARGE, LARGE] }, time()).map((f) => f.change);
    expect(fixes).toEqual(['move door out of the way', 'hang one unit fewer here']);
  });
});

/** All layouts of a coarse grid, tried one by one. */
function bruteForce(p: WallProblem): number {
  const places = p.units.map((u) => {
    const c = candidatesFor(p, u);
    return [...c.xMm].map((xMm, i) => ({ xMm, yMm: c.yMm[i] as number }));
  });
  let best = Number.POSITIVE_INFINITY;
  const walk = (i: number, chosen: WallPlace[], cost: number) => {
    if (cost >= best || verified({ ...p, units: p.units.slice(0, i) }, chosen).length > 0) return;
    const unit = p.units[i];
    if (!unit) {
      best = cost;
      return;
    }
    for (const place of places[i] ?? [])
      walk(i + 1, [...chosen, place], cost + unit.cableWeight * cableMm(p, unit, place));
  };
  walk(0, [], 0);
  return best;
}

/** The cheapest row of equal units by the programme over their left edges. */
function rowProgramme(p: WallProblem): number {
  const unit = p.units[0] as WallUnit;
  const c = candidatesFor(p, unit);
  const step = unit.widthMm + gapBetween(unit, unit, p.gaps).besideMm;
  const cost = new Map<number, number>();
  c.xMm.forEach((x, i) => cost.set(x, Math.min(cost.get(x) ?? Infinity, c.cost[i] as number)));
  const columns = [...cost.keys()].sort((a, b) => a - b);
  let f = new Map(columns.map((x) => [x, cost.get(x) as number]));
  for (let k = 1; k < p.units.length; k++)
    f = new Map(
      columns.map((x) => [
        x,
        (cost.get(x) as number) +
          Math.min(Infinity, ...columns.filter((z) => z + step <= x).map((z) => f.get(z) as number)),
      ]),
    );
  return Math.min(...f.values());
}

describe('second methods', () => {
  it('brute force at 200 mm finds the same on the second wall', () =>
    expect(bruteForce({ ...SECOND_WALL, gridMm: 200 })).toBe(9525));
  it('the row programme finds the same where nothing may be stacked', () => {
    expect(rowProgramme(FIRST_WALL)).toBe(15125);
    expect(rowProgramme({ ...SECOND_WALL, stacking: false })).toBe(solve({ ...SECOND_WALL, stacking: false }).cost);
  });

  const random = generator(20_261);
  const between = (a: number, b: number, step: number) => a + step * Math.floor(random() * ((b - a) / step + 1));
  const randomWall = (): WallProblem => {
    const size = (kind: string): WallUnit => ({
      kind,
      widthMm: between(400, 1000, 50),
      heightMm: between(400, 700, 50),
      leftMm: between(0, 300, 100),
      rightMm: between(0, 300, 100),
      topMm: between(0, 300, 100),
      bottomMm: between(0, 300, 100),
      besideMm: between(0, 400, 100),
      stackedMm: between(0, 400, 100),
      cableWeight: between(1, 3, 1),
    });
    const [a, b] = [size('a'), size('b')];
    const [widthMm, heightMm] = [between(2000, 3600, 200), between(1600, 2800, 200)];
    return {
      face: {
        widthMm,
        heightMm,
        leftOpen: random() < 0.3,
        rightOpen: random() < 0.3,
        floorMinMm: between(0, 600, 200),
        topMostMm: random() < 0.5 ? null : between(1400, heightMm, 200),
      },
      obstructions: Array.from({ length: between(0, 2, 1) }, (_, i) => ({
        label: `thing ${i}`,
        xMm: between(0, widthMm, 200),
        yMm: between(0, heightMm, 200),
        widthMm: between(100, 800, 100),
        heightMm: between(100, 1200, 100),
        marginMm: between(0, 200, 50),
        blocksAir: random() < 0.5,
      })),
      boardXMm: between(0, widthMm, 100),
      boardYMm: between(0, heightMm, 100),
      trayMm: random() < 0.5 ? null : between(0, heightMm, 100),
      units: random() < 0.5 ? [a, a] : random() < 0.5 ? [a, b] : [a, a, b],
      gaps: random() < 0.5 ? 'larger' : 'sum',
      stacking: true,
      gridMm: 200,
    };
  };
  it('agree with brute force on 100 random walls, legal by the checker, and never under their bound', () => {
    let [fit, not] = [0, 0];
    for (let i = 0; i < 100; i++) {
      const wall = randomWall();
      const layout = solve(wall);
      expect(layout.cost, JSON.stringify(wall)).toBeCloseTo(bruteForce(wall), 6);
      expect(layout.proof).toBe('proved');
      if (!layout.places) not += 1;
      else {
        fit += 1;
        expect(verified(wall, layout.places)).toEqual([]);
      }
    }
    expect([fit > 30, not > 10]).toEqual([true, true]);
  });
  it('a grid divided by a whole number never costs more', () => {
    for (let i = 0; i < 40; i++) {
      const wall = randomWall();
      expect(solve({ ...wall, gridMm: 100 }).cost).toBeLessThanOrEqual(solve(wall).cost);
    }
  });
});

it('four stacked units are proved: the bound knows that upper rows cost more', () => {
  const long = {
    ...SECOND_WALL,
    face: { ...SECOND_WALL.face, widthMm: 8000 },
    units: Array.from({ length: 4 }, () => LARGE),
  };
  const layout = solve(long);
  expect([layout.proof, layout.bound]).toEqual(['proved', layout.cost]);
  expect(verified(long, layout.places ?? [])).toEqual([]);
});

it('at the time limit shows the best with its bound, and never calls it optimal', () => {
  const wide: WallProblem = {
    ...SECOND_WALL,
    face: { ...SECOND_WALL.face, widthMm: 12_000 },
    obstructions: [pipe(3300)],
    units: [...Array.from({ length: 4 }, () => LARGE), ...Array.from({ length: 4 }, () => SMALL)],
  };
  const layout = wallLayout(wide, time(0.05));
  expect(layout.places).not.toBeNull();
  expect(verified(wide, layout.places ?? [])).toEqual([]);
  expect(layout.proof).toBe('gap');
  expect(layout.bound).toBeLessThan(layout.cost);
});
