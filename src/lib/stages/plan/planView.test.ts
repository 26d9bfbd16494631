import { describe, expect, it } from 'vitest';
import { DISCIPLINES } from '$core/design';
import { LENGTH_RULES, fitted, keyed, scaleBarM, snapped, toPlan, toScreen } from './planView';

const VIEW = { k: 20, x: 300, y: 200 };

describe('the plan on the screen', () => {
  it('comes back to the metre it went out from', () => {
    const px = toScreen(VIEW, { xM: 3.5, yM: -2 });
    expect(px).toEqual({ x: 370, y: 240 });
    expect(toPlan(VIEW, px)).toEqual({ xM: 3.5, yM: -2 });
  });

  it('shows everything with a margin, whatever its shape, and 40 m of nothing', () => {
    for (const points of [
      [
        { xM: -5, yM: 3 },
        { xM: 400, yM: 9 },
      ],
      [
        { xM: 0, yM: 0 },
        { xM: 1, yM: 90 },
      ],
      [{ xM: 7, yM: 7 }],
    ]) {
      const view = fitted(points, 900, 500);
      for (const p of points) {
        const { x, y } = toScreen(view, p);
        expect(x).toBeGreaterThanOrEqual(50);
        expect(x).toBeLessThanOrEqual(850);
        expect(y).toBeGreaterThanOrEqual(50);
        expect(y).toBeLessThanOrEqual(450);
      }
    }
    const nothing = fitted([], 900, 500);
    expect(toPlan(nothing, { x: 900, y: 0 }).xM).toBeGreaterThanOrEqual(20);
  });

  it('draws a thing to the grid, or in line with another within six pixels; fine steps are drawn to nothing', () => {
    const others = [{ xM: 10.03, yM: 4 }];
    expect(snapped(VIEW, { xM: 10.3, yM: 6.04 }, others, false)).toEqual({
      xM: 10.03,
      yM: 6,
      alongX: true,
      alongY: false,
    });
    expect(snapped(VIEW, { xM: 10.34, yM: 6.04 }, others, false)).toMatchObject({ xM: 10.3, alongX: false });
    expect(snapped(VIEW, { xM: 10.034, yM: 4.004 }, others, true)).toMatchObject({ xM: 10.03, yM: 4, alongX: false });
  });

  it('steps by 10 cm, with Shift by 1 cm, without dust', () => {
    expect(keyed('ArrowUp', false, { xM: 0.2, yM: 0.2, zM: 3 })).toEqual({ xM: 0.2, yM: 0.3, zM: 3 });
    expect(keyed('ArrowLeft', true, { xM: 0.3, yM: 0 })).toEqual({ xM: 0.29, yM: 0 });
    expect(keyed('a', false, { xM: 0, yM: 0 })).toBeNull();
  });

  it.each([
    [1, 160, 100],
    [10, 160, 10],
    [33, 160, 2],
    [2, 160, 50],
  ])('at %s px a metre a bar of at most %s px shows %s m', (k, most, m) => expect(scaleBarM(k, most)).toBe(m));
});

describe('rules that rest on lengths', () => {
  it('are rules that the program knows', () => {
    const known = DISCIPLINES.flatMap((d) => d.rules.map((r) => r.id));
    for (const id of LENGTH_RULES) expect(known).toContain(id);
  });
});
