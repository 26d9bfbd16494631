import { describe, expect, it } from 'vitest';
import type { Wall } from '../part';
import { hungUnit } from '../../testing/subjects';
import { bracketInConcrete } from './bracketEdges';
import { coneShare } from './concreteCone';

const HOLES = [
  { xMm: 100, yMm: 100 },
  { xMm: 200, yMm: 100 },
  { xMm: 100, yMm: 400 },
  { xMm: 200, yMm: 400 },
];
/** Two columns 100 mm apart, two rows 300, embedment 60: full edge 90, full spacing 180 mm (worked case of the cones). */
const bracket = (at: { xMm?: number; yMm?: number } = {}, wall: Partial<Wall> = {}) =>
  hungUnit({ body: { bracketHoles: HOLES }, at: { xMm: 2000, yMm: 900, ...at }, wall: { embedmentMm: 60, ...wall } });
const conesOf = (h: ReturnType<typeof hungUnit>) => {
  const { value } = bracketInConcrete(h);
  return value === null || value === 'not concrete' ? null : coneShare(value);
};
const shareOf = (h: ReturnType<typeof hungUnit>) => conesOf(h)?.share;
const box = (kind: Wall['obstructions'][number]['kind'], xMm: number, yMm: number, widthMm = 200, heightMm = 200) => ({
  obstructions: [{ id: 'o', kind, xMm, yMm, widthMm, heightMm, marginMm: null }],
});

describe('cones of a bracket in concrete', () => {
  it('are those of the worked case: left edge 60 mm leaves 0.625', () =>
    expect(shareOf(bracket({ xMm: -40 }))).toBeCloseTo(0.625, 9));
  it('lose to close columns alone where no edge is near: (180 + 100)/(2·180)', () =>
    expect(shareOf(bracket())).toBeCloseTo(280 / 360, 9));
  it.each([
    ['right end of the wall', bracket({ xMm: 8000 - 260 })],
    ['left end', bracket({ xMm: -40 })],
    ['top of the wall', bracket({ yMm: 3000 - 460 })],
    ['foot of the wall', bracket({ yMm: -40 })],
    ['a door to the left', bracket({}, box('door or window', 1840, 900))],
    ['a joint to the right', bracket({}, box('expansion joint or crack', 2260, 900, 10, 3000))],
    ['a corner over it', bracket({}, box('wall corner or pilaster', 2100, 1360))],
    ['a window under it', bracket({}, box('door or window', 2100, 740))],
  ])('know the nearest edge: %s', (_, h) => {
    const share = shareOf(h);
    // 60 mm at one side: ψ = 0.7 + 0.3·60/90 = 0.9, and 30 mm of one direction gone.
    const across = ((280 - 30) / 360) * 0.9;
    const up = (280 / 360) * ((480 - 30 - 120) / 360) * 0.9;
    expect([across, up].some((s) => Math.abs(s - (share as number)) < 1e-9)).toBe(true);
    expect(conesOf(h)?.edgeInShear).toBe(true);
  });
  it('do not mind what stands on the wall, nor an opening farther off than a full edge', () => {
    const full = shareOf(bracket());
    expect(shareOf(bracket({}, box('pipe or conduit to 120 mm', 2260, 900)))).toBe(full);
    expect(shareOf(bracket({}, box('door or window', 2290, 900)))).toBeCloseTo(280 / 360, 9);
    // Beside and over at once: by the larger of the two ways.
    expect(shareOf(bracket({}, box('door or window', 2210, 1400)))).toBe(full);
  });
  it('are asked of concrete alone, and want embedment, anchor and holes', () => {
    expect(bracketInConcrete(bracket({}, { material: 'solid masonry', embedmentMm: null })).value).toBe('not concrete');
    expect(bracketInConcrete(bracket({}, { embedmentMm: null, anchorHoleMm: null })).missing).toEqual([
      'embedment of the anchor',
      'hole for the anchor',
    ]);
    expect(bracketInConcrete(hungUnit({ body: { bracketHoles: [] } })).missing).toEqual([
      'holes of the bracket of T100',
    ]);
  });
});
