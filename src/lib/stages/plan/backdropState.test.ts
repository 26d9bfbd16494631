import { describe, expect, it } from 'vitest';
import { metresPerPx } from './backdropState.svelte';

describe('the scale of a picture', () => {
  it('is the distance between two points over their distance in it', () =>
    expect(
      metresPerPx(
        [
          { x: 10, y: 10 },
          { x: 40, y: 50 },
        ],
        25,
      ),
    ).toBeCloseTo(0.5, 12));
  it.each([
    ['one point', [{ x: 1, y: 1 }], 5, 'lie on one another'],
    [
      'points in one place',
      [
        { x: 1, y: 1 },
        { x: 3, y: 2 },
      ],
      5,
      'lie on one another',
    ],
    [
      'no distance',
      [
        { x: 1, y: 1 },
        { x: 90, y: 2 },
      ],
      null,
      'must be over 0 m',
    ],
    [
      'a distance of nothing',
      [
        { x: 1, y: 1 },
        { x: 90, y: 2 },
      ],
      0,
      'must be over 0 m',
    ],
  ])('is refused with %s', (_, points, m, words) => expect(() => metresPerPx(points, m)).toThrow(words));
});
