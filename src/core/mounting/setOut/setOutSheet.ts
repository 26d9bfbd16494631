import { plateOrder } from '../fixing/tighteningOrder';
import type { HungUnit } from '../results';

/** Where holes are drilled on a wall: running dimensions from one plumb line and one level line, never chained. */

/** The level line stands over the highest point of the floor, mm (common practice: a laser at the height of the eyes of who kneels). */
export const LEVEL_MM = 1000;
/** What a hole, a diagonal and a level may be off (common practice). */
export const SET_OUT_TOLERANCE = { holeMm: 2, diagonalMm: 3, levelMmPerM: 1 } as const;

export interface Hole {
  /** A1, A2 … of the first unit from the left; AS1 … its safety screws. */
  readonly name: string;
  readonly tag: string;
  readonly kind: 'bracket' | 'safety screw';
  /** From the plumb line at the left end, to the right. */
  readonly xMm: number;
  /** From the level line, up. */
  readonly yMm: number;
}
export interface CheckMeasure {
  readonly from: string;
  readonly to: string;
  readonly mm: number;
}
export interface SetOutSheet {
  readonly holes: readonly Hole[];
  readonly checks: readonly CheckMeasure[];
  /** In which order each unit's bracket is tightened. */
  readonly orders: readonly { readonly tag: string; readonly holes: readonly string[] }[];
  /** Units whose sheets give no holes. */
  readonly missing: readonly string[];
}

/** A, B … Z, AA …, from 0. */
const letter = (i: number): string =>
  i < 26 ? String.fromCharCode(65 + i) : letter(Math.floor(i / 26) - 1) + String.fromCharCode(65 + (i % 26));

/** The holes of every unit on one wall, from left to right and from the top row down, with the measures that check them. */
export function setOutSheet(onWall: readonly HungUnit[]): SetOutSheet {
  const units = [...onWall].sort((a, b) => a.at.xMm - b.at.xMm || b.at.yMm - a.at.yMm);
  const brackets = units.map((u, i) => holesOf(u, 'bracket', letter(i)));
  const holes = units.flatMap((u, i) => [...(brackets[i] ?? []), ...holesOf(u, 'safety screw', `${letter(i)}S`)]);
  const drilled = brackets.filter((b) => b.length > 0);
  return {
    holes,
    checks: [...brackets.flatMap(diagonalsOf), ...(drilled.length > 1 ? overall(drilled.flat()) : [])],
    orders: drilled.map((b) => ({
      tag: b[0]?.tag ?? '',
      holes: plateOrder(b).map((n) => b[n - 1]?.name ?? ''),
    })),
    missing: units
      .filter((u) => u.type.body.bracketHoles.length === 0)
      .map((u) => `holes of the bracket of ${u.type.name}`),
  };
}

function holesOf({ type, at, unit }: HungUnit, kind: Hole['kind'], prefix: string): Hole[] {
  const points = kind === 'bracket' ? type.body.bracketHoles : type.body.safetyHoles;
  return [...points]
    .sort((a, b) => b.yMm - a.yMm || a.xMm - b.xMm)
    .map((p, i) => ({
      name: `${prefix}${i + 1}`,
      tag: unit.tag,
      kind,
      xMm: at.xMm + p.xMm,
      yMm: at.yMm + p.yMm - LEVEL_MM,
    }));
}

const measure = (a: Hole, b: Hole): CheckMeasure => ({
  from: a.name,
  to: b.name,
  mm: Math.hypot(b.xMm - a.xMm, b.yMm - a.yMm),
});

/** The two diagonals of the outer holes of a bracket. */
function diagonalsOf(holes: readonly Hole[]): CheckMeasure[] {
  const corner = (sx: 1 | -1, sy: 1 | -1) =>
    holes.reduce<Hole | undefined>(
      (best, h) => (best && sx * best.xMm + sy * best.yMm >= sx * h.xMm + sy * h.yMm ? best : h),
      undefined,
    );
  const [a, b, c, d] = [corner(-1, 1), corner(1, 1), corner(1, -1), corner(-1, -1)];
  return a && b && c && d && new Set([a, b, c, d]).size === 4 ? [measure(a, c), measure(b, d)] : [];
}

/** From the first unit's lowest left hole to the last one's highest right: one measure over everything. */
function overall(holes: readonly Hole[]): CheckMeasure[] {
  const [first] = [...holes].sort((a, b) => a.xMm - b.xMm || a.yMm - b.yMm);
  const [last] = [...holes].sort((a, b) => b.xMm - a.xMm || b.yMm - a.yMm);
  return first && last ? [measure(first, last)] : [];
}
