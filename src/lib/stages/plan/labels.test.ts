import { describe, expect, it } from 'vitest';
import type { Thing } from '$core/design/planThings';
import { labelsOf } from './labels';
import { fitted } from './planView';

const keyOf = (t: Thing) => `${t.kind} ${t.id}`;
const point = (kind: Thing['kind'], id: string, xM: number, yM: number): Thing => {
  const position = { xM, yM, zM: 0 };
  return { kind, id, label: `${kind} called ${id}`, position, shape: [position], facesDeg: null, carriedBy: null };
};
const ROOM: Thing = {
  ...point('room', 'machines', 0, 0),
  shape: [
    { xM: 0, yM: 0, zM: 0 },
    { xM: 40, yM: 0, zM: 0 },
    { xM: 40, yM: 8, zM: 0 },
    { xM: 0, yM: 8, zM: 0 },
  ],
};
/** A crowd at the board, and one far away. */
const CROWD = [
  ROOM,
  ...Array.from({ length: 12 }, (_, i) => point('device', `d${i}`, 2 + 0.4 * i, 2)),
  point('board', 'board', 4, 2.3),
  point('spot', 'far', 90, 30),
];

describe('names on the plan', () => {
  const view = fitted(
    CROWD.flatMap((t) => t.shape),
    900,
    480,
  );
  const labels = labelsOf(CROWD, view, keyOf, { picked: '', tags: true });

  it('lie on no other name', () => {
    const boxes = [...labels].map(([key, { x, y, anchor }]) => {
      const text = CROWD.find((t) => keyOf(t) === key)?.label ?? '';
      // Half the width that labels are laid out with: names do not even come near.
      const half = text.length * 3.3;
      const middle = anchor === 'start' ? x + half : anchor === 'end' ? x - half : x;
      return { key, left: middle - half, right: middle + half, y };
    });
    for (const a of boxes)
      for (const b of boxes)
        if (a !== b && Math.abs(a.y - b.y) < 12)
          expect(a.right <= b.left || b.right <= a.left, `${a.key} and ${b.key}`).toBe(true);
  });

  it('stand where there is room: the board and the one far away do, a crowd does not whole', () => {
    expect(labels.has('board board')).toBe(true);
    expect(labels.has('spot far')).toBe(true);
    expect(labels.size).toBeLessThan(CROWD.length);
  });

  it('leave out anybody but who is picked', () => {
    const left = CROWD.find((t) => !labels.has(keyOf(t)));
    const key = left ? keyOf(left) : '';
    expect(key).not.toBe('');
    expect(labelsOf(CROWD, view, keyOf, { picked: key, tags: true }).has(key)).toBe(true);
  });
});
