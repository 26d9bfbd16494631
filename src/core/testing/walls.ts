import type { Obstruction, WallProblem, WallUnit } from '../mounting/wall/problem';

/** Two kinds of unit and two walls that were worked by hand and by other programs. */

export const LARGE: WallUnit = {
  kind: 'large',
  widthMm: 1050,
  heightMm: 660,
  leftMm: 500,
  rightMm: 500,
  topMm: 500,
  bottomMm: 500,
  besideMm: 500,
  stackedMm: 700,
  cableWeight: 1,
};
export const SMALL: WallUnit = {
  ...LARGE,
  kind: 'small',
  widthMm: 700,
  heightMm: 520,
  leftMm: 300,
  rightMm: 300,
  besideMm: 300,
  stackedMm: 500,
};

const DOOR: Obstruction = {
  label: 'door',
  xMm: 4600,
  yMm: 0,
  widthMm: 1000,
  heightMm: 2100,
  marginMm: 0,
  blocksAir: true,
};
export const pipe = (heightMm: number): Obstruction => ({
  label: 'pipe',
  xMm: 2300,
  yMm: 0,
  widthMm: 100,
  heightMm,
  marginMm: 150,
  blocksAir: false,
});

/** A wall with a door and a pipe, on which nothing can be stacked. */
export const FIRST_WALL: WallProblem = {
  face: { widthMm: 8000, heightMm: 3000, leftOpen: false, rightOpen: false, floorMinMm: 600, topMostMm: 2000 },
  obstructions: [DOOR, pipe(3000)],
  boardXMm: 7800,
  boardYMm: 1500,
  trayMm: 400,
  units: [LARGE, LARGE, LARGE],
  gaps: 'larger',
  stacking: true,
  gridMm: 50,
};
/** A narrower and higher one, on which two stand one over the other. */
export const SECOND_WALL: WallProblem = {
  ...FIRST_WALL,
  face: { ...FIRST_WALL.face, widthMm: 6000, heightMm: 3300, topMostMm: null },
  obstructions: [pipe(3300)],
  boardXMm: 5800,
};
