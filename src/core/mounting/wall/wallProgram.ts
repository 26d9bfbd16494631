import type { Milp } from '../../kernel/milp';
import { MilpBuilder } from '../../kernel/milp';
import type { Obstruction, WallPlace, WallProblem, WallUnit } from './problem';
import { gapBetween } from './problem';

interface Columns {
  readonly unit: WallUnit;
  /** Steps of the grid from the left and from below. */
  readonly x: number;
  readonly y: number;
}

/** The program of a wall, and how its solution is read. */
export interface WallProgram {
  readonly milp: Milp;
  readonly placesOf: (values: readonly number[]) => readonly WallPlace[];
  /** What the cost of the program leaves out: cable that every layout has, mm. */
  readonly constantMm: number;
}

/**
 * The layout of a wall as a mixed-integer program: minimise Σ c·(|x + w/2 − x_B| + |y − y_T|) over grid steps. A unit stands left or right of,
 * over or under each obstruction, and each other unit by its gap: one binary a side, at least one of them set. Alike units rise from the left.
 * Costs are those of `cableMm` less what does not depend on the place. Needs every unit to fit the wall by itself.
 */
export function wallProgram(p: WallProblem): WallProgram {
  const b = new MilpBuilder();
  const cost = new Map<number, number>();
  const { face, gridMm: g } = p;
  const units = p.units.map((unit): Columns => {
    const left = face.leftOpen ? 0 : unit.leftMm;
    const right = face.widthMm - (face.rightOpen ? 0 : unit.rightMm) - unit.widthMm;
    const low = Math.max(unit.bottomMm, face.floorMinMm);
    const high = Math.min(face.heightMm - unit.topMm, face.topMostMm ?? Infinity) - unit.heightMm;
    const x = b.column(Math.ceil(left / g), Math.floor(right / g), true);
    const y = b.column(Math.ceil(low / g), Math.floor(high / g), true);
    priceOf(b, cost, unit.cableWeight, x, g, p.boardXMm - unit.widthMm / 2);
    priceOf(b, cost, unit.cableWeight, y, g, p.trayMm ?? p.boardYMm);
    for (const o of p.obstructions) apartFrom(b, p, { unit, x, y }, o);
    return { unit, x, y };
  });
  units.forEach((u, i) => units.slice(i + 1).forEach((v) => twoApart(b, p, u, v)));
  units.forEach((u, i) => {
    const next = units.slice(i + 1).find((v) => v.unit.kind === u.unit.kind);
    if (next)
      b.row(0, Infinity, [
        [next.x, 1],
        [u.x, -1],
      ]);
  });
  const constantMm =
    p.trayMm === null
      ? 0
      : p.units.reduce((sum, u) => sum + u.cableWeight * Math.abs((p.trayMm as number) - p.boardYMm), 0);
  return {
    milp: b.minimising(cost),
    placesOf: (values) =>
      units.map(({ x, y }) => ({ xMm: Math.round(values[x] ?? 0) * g, yMm: Math.round(values[y] ?? 0) * g })),
    constantMm,
  };
}

/** A column that is no less than |g·step − at|, at this price a millimetre. */
function priceOf(b: MilpBuilder, cost: Map<number, number>, price: number, step: number, g: number, at: number): void {
  const away = b.column(0, Infinity, false);
  cost.set(away, price);
  b.row(-at, Infinity, [
    [away, 1],
    [step, -g],
  ]);
  b.row(at, Infinity, [
    [away, 1],
    [step, g],
  ]);
}

/** One of the sides at least: the binaries that say which, each of which makes its row hold. */
function oneOf(
  b: MilpBuilder,
  sides: readonly { terms: (readonly [number, number])[]; least: number; slack: number }[],
) {
  const chosen = sides.map(({ terms, least, slack }) => {
    const side = b.column(0, 1, true);
    // terms ≥ least where the side is chosen, and nothing otherwise.
    b.row(least - slack, Infinity, [...terms, [side, -slack]]);
    return side;
  });
  b.row(
    1,
    Infinity,
    chosen.map((side) => [side, 1] as const),
  );
}

function apartFrom(b: MilpBuilder, p: WallProblem, { unit, x, y }: Columns, o: Obstruction): void {
  const way = (mm: number) => (o.blocksAir ? Math.max(mm, o.marginMm) : o.marginMm);
  const g = p.gridMm;
  const [w, h] = [p.face.widthMm + 1e4, p.face.heightMm + 1e4];
  oneOf(b, [
    { terms: [[x, -g]], least: unit.widthMm + way(unit.rightMm) - o.xMm, slack: w },
    { terms: [[x, g]], least: o.xMm + o.widthMm + way(unit.leftMm), slack: w },
    { terms: [[y, -g]], least: unit.heightMm + way(unit.topMm) - o.yMm, slack: h },
    { terms: [[y, g]], least: o.yMm + o.heightMm + way(unit.bottomMm), slack: h },
  ]);
}

function twoApart(b: MilpBuilder, p: WallProblem, u: Columns, v: Columns): void {
  const { besideMm, stackedMm } = gapBetween(u.unit, v.unit, p.gaps);
  const g = p.gridMm;
  const [w, h] = [p.face.widthMm + 1e4, p.face.heightMm + 1e4];
  const after = (a: Columns, c: Columns, axis: 'x' | 'y', least: number, slack: number) => ({
    terms: [
      [c[axis], g],
      [a[axis], -g],
    ] as (readonly [number, number])[],
    least,
    slack,
  });
  oneOf(b, [
    after(u, v, 'x', u.unit.widthMm + besideMm, w),
    after(v, u, 'x', v.unit.widthMm + besideMm, w),
    ...(p.stacking
      ? [after(u, v, 'y', u.unit.heightMm + stackedMm, h), after(v, u, 'y', v.unit.heightMm + stackedMm, h)]
      : []),
  ]);
}
