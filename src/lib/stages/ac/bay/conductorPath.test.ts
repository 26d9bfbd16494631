import { expect, it } from 'vitest';
import { conductorPath } from './conductorPath';

/** End of the last piece of a path. */
const endOf = (path: string | null) =>
  (path ?? '')
    .match(/([-\d.]+) ([-\d.]+)$/)
    ?.slice(1)
    .map(Number);

it('comes out where the entry is, over either side, and straight where it is below', () => {
  expect(conductorPath({ x: 5, y: 0 }, { x: 5, y: 100 }, 30)).toBe('M5 0V100');
  for (const x of [-40, 40, 200]) expect(endOf(conductorPath({ x: 5, y: 0 }, { x, y: 150 }, 30))).toEqual([x, 150]);
});

it('begins to bend as high over the entry as two arcs of the radius want it', () => {
  // 40 mm aside with 130.05 mm: 138.593 mm.
  const path = conductorPath({ x: 0, y: 0 }, { x: 40, y: 200 }, 130.05);
  expect(Number(path?.match(/V([\d.]+)A/)?.[1])).toBeCloseTo(200 - 138.593, 2);
});

it('is no way where the height does not take the bend', () => {
  expect(conductorPath({ x: 0, y: 0 }, { x: 40, y: 138.5 }, 130.05)).toBeNull();
  expect(conductorPath({ x: 0, y: 0 }, { x: 40, y: 138.6 }, 130.05)).not.toBeNull();
});
