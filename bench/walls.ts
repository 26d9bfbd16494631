import type { WallProblem, WallUnit } from '../src/core/mounting/wall/problem';
import type { EmptyWall } from '../src/core/mounting/wall/wallsLayout';

export { wallLayout } from '../src/core/mounting/wall/wallLayout';
export { wallsLayout } from '../src/core/mounting/wall/wallsLayout';

const LARGE: WallUnit = {
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
const SMALL: WallUnit = {
  ...LARGE,
  kind: 'small',
  widthMm: 700,
  heightMm: 520,
  leftMm: 300,
  rightMm: 300,
  besideMm: 300,
  stackedMm: 500,
};
const pipe = (heightMm: number) => ({
  label: 'pipe',
  xMm: 2300,
  yMm: 0,
  widthMm: 100,
  heightMm,
  marginMm: 150,
  blocksAir: false,
});
const FIRST: EmptyWall = {
  face: { widthMm: 8000, heightMm: 3000, leftOpen: false, rightOpen: false, floorMinMm: 600, topMostMm: 2000 },
  obstructions: [
    { label: 'door', xMm: 4600, yMm: 0, widthMm: 1000, heightMm: 2100, marginMm: 0, blocksAir: true },
    pipe(3000),
  ],
  boardXMm: 7800,
  boardYMm: 1500,
  trayMm: 400,
  gaps: 'larger',
  stacking: true,
  gridMm: 50,
};
const second = (widthMm: number, boardXMm: number): EmptyWall => ({
  ...FIRST,
  face: { ...FIRST.face, widthMm, heightMm: 3300, topMostMm: null },
  obstructions: [pipe(3300)],
  boardXMm,
});

/** The worked walls on a grid of 50 mm. */
export const WALLS: Readonly<Record<string, WallProblem>> = {
  'first, three in a row': { ...FIRST, units: [LARGE, LARGE, LARGE] },
  'second, three stacked': { ...second(6000, 5800), units: [LARGE, LARGE, LARGE] },
  'mixed, two kinds': { ...FIRST, units: [{ ...LARGE, cableWeight: 2 }, { ...LARGE, cableWeight: 2 }, SMALL] },
};
/** Twenty-four units on four walls, stacking allowed. */
export const FOUR: readonly EmptyWall[] = [
  second(12_000, 11_800),
  second(10_000, 200),
  second(14_000, 7000),
  second(9000, 8800),
];
export const TWENTY_FOUR: readonly WallUnit[] = Array.from({ length: 24 }, () => LARGE);
