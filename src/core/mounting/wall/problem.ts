import { requirePositive, requireWithin } from '../../kernel/require';

/** A wall with what stands on it and what shall hang on it. Millimetres; x to the right, y up, seen from the front, from the lower left corner. */

export interface Rectangle {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

export interface WallFace {
  readonly widthMm: number;
  readonly heightMm: number;
  /** Nothing stands beside an open end: no clearance is kept to it. */
  readonly leftOpen: boolean;
  readonly rightOpen: boolean;
  /** Lower edges no lower than this. */
  readonly floorMinMm: number;
  /** Upper edges no higher than this; null: only the wall ends. */
  readonly topMostMm: number | null;
}

export interface Obstruction extends Rectangle {
  readonly label: string;
  /** Kept free all round it. */
  readonly marginMm: number;
  /** Air does not pass it: the unit's own clearances apply to it too. */
  readonly blocksAir: boolean;
}

/** What is bought and hung: its size, what it keeps free, and what it costs to be far from the board. */
export interface WallUnit {
  /** Units of one kind are alike in every figure. */
  readonly kind: string;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly leftMm: number;
  readonly rightMm: number;
  readonly topMm: number;
  readonly bottomMm: number;
  /** Free between two of them side by side, and one over the other. */
  readonly besideMm: number;
  readonly stackedMm: number;
  /** What a millimetre of its cable counts for: 1, or cost or kg a millimetre. */
  readonly cableWeight: number;
}

export const GAP_SCHOOLS = ['larger', 'sum'] as const;
/** Gaps between two units: the larger of what both ask, as manuals print it, or the sum, each keeping its own. */
export type GapSchool = (typeof GAP_SCHOOLS)[number];

export interface WallProblem {
  readonly face: WallFace;
  readonly obstructions: readonly Obstruction[];
  /** Where the cable leaves the wall. */
  readonly boardXMm: number;
  readonly boardYMm: number;
  /** Height of the tray that the cables run in; null: straight to the board. */
  readonly trayMm: number | null;
  readonly units: readonly WallUnit[];
  readonly gaps: GapSchool;
  /** Units may hang one over the other. */
  readonly stacking: boolean;
  readonly gridMm: number;
}

/** A place on the wall: the lower left corner of a unit. */
export interface WallPlace {
  readonly xMm: number;
  readonly yMm: number;
}

/** The free way between two units sideways and upward that lets them both breathe. */
export const gapBetween = (a: WallUnit, b: WallUnit, gaps: GapSchool): { besideMm: number; stackedMm: number } =>
  gaps === 'sum'
    ? { besideMm: a.besideMm + b.besideMm, stackedMm: a.stackedMm + b.stackedMm }
    : { besideMm: Math.max(a.besideMm, b.besideMm), stackedMm: Math.max(a.stackedMm, b.stackedMm) };

/** Cable of a unit at a place, mm: from the middle of its lower edge square to the board, by the tray where there is one. */
export function cableMm(problem: WallProblem, unit: WallUnit, at: WallPlace): number {
  const across = Math.abs(at.xMm + unit.widthMm / 2 - problem.boardXMm);
  const { trayMm, boardYMm } = problem;
  return trayMm === null
    ? across + Math.abs(at.yMm - boardYMm)
    : across + Math.abs(at.yMm - trayMm) + Math.abs(trayMm - boardYMm);
}

/** Throws RangeError, naming the field, on sizes that no wall and no unit has. */
export function requireWallProblem(p: WallProblem): void {
  requirePositive(p.face, 'widthMm', 'heightMm');
  requirePositive(p, 'gridMm');
  requireWithin('floorMinMm', p.face.floorMinMm, 0, p.face.heightMm, 'mm');
  for (const u of p.units) {
    requirePositive(u, 'widthMm', 'heightMm');
    for (const field of ['leftMm', 'rightMm', 'topMm', 'bottomMm', 'besideMm', 'stackedMm', 'cableWeight'] as const)
      requireWithin(field, u[field], 0, 1e5);
  }
  for (const o of p.obstructions) requirePositive({ ...o }, 'widthMm', 'heightMm');
}
