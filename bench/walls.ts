import type { WallProblem, WallUnit } from '../src/core/mounting/wall/problem';
import type { EmptyWall } from '../src/core/mounting/wall/wallsLayout';
import { FIRST_WALL, LARGE, SECOND_WALL, SMALL } from '../src/core/testing/walls';

import highsLoader from 'highs';
import { highsSolver } from '../src/lib/workers/highsSolver';

export const solverOf = async () => highsSolver(await highsLoader());
export { wallLayout } from '../src/core/mounting/wall/wallLayout';
export { wallsLayout } from '../src/core/mounting/wall/wallsLayout';

const HEAVY: WallUnit = { ...LARGE, cableWeight: 2 };
/** The worked walls on a grid of 50 mm. */
export const WALLS: Readonly<Record<string, WallProblem>> = {
  'first, three in a row': FIRST_WALL,
  'second, three stacked': SECOND_WALL,
  'mixed, two kinds': { ...FIRST_WALL, units: [HEAVY, HEAVY, SMALL] },
};

/** Two kinds on walls where one may stand over the other: what a search alone leaves open. */
export const MIXED: Readonly<Record<string, WallProblem>> = {
  'seven of two kinds on 12 m': {
    ...SECOND_WALL,
    face: { ...SECOND_WALL.face, widthMm: 12_000 },
    boardXMm: 11_800,
    units: [LARGE, LARGE, LARGE, LARGE, LARGE, SMALL, SMALL],
  },
  'eight of two kinds on 14 m': {
    ...SECOND_WALL,
    face: { ...SECOND_WALL.face, widthMm: 14_000 },
    boardXMm: 7000,
    units: [LARGE, LARGE, LARGE, LARGE, SMALL, SMALL, SMALL, SMALL],
  },
};

const second = (widthMm: number, boardXMm: number): EmptyWall => ({
  ...SECOND_WALL,
  face: { ...SECOND_WALL.face, widthMm },
  boardXMm,
});
/** Twenty-four units on four walls, stacking allowed. */
export const FOUR: readonly EmptyWall[] = [
  second(12_000, 11_800),
  second(10_000, 200),
  second(14_000, 7000),
  second(9000, 8800),
];
export const TWENTY_FOUR: readonly WallUnit[] = Array.from({ length: 24 }, () => LARGE);
