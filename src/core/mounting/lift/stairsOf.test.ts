import { describe, expect, it } from 'vitest';
import { ENDS, carried } from '../../testing/lifts';
import { hungUnit } from '../../testing/subjects';
import { stairsOf } from './stairsOf';

describe('two carriers on stairs', () => {
  it('take the heavy end ahead', () => {
    const right = stairsOf(carried(30, 700).type, 30).value;
    const left = stairsOf(carried(30, 350).type, 30).value;
    expect(right?.ahead).toBe('right');
    expect(left).toMatchObject({ ahead: 'left', worstKg: expect.closeTo(right?.worstKg ?? 0, 9) });
  });
  it('add up to the unit, whatever the slope (statics)', () => {
    for (const slope of [1, 20, 45, 60]) {
      const c = stairsOf(carried(slope, 600).type, slope).value;
      expect((c?.upperKg ?? 0) + (c?.lowerKg ?? 0)).toBeCloseTo(95, 9);
    }
  });
  it('need a handle on either side of the weight', () => {
    expect(stairsOf(hungUnit({ body: { handles: ENDS, centreXMm: 1200 } }).type, 20).missing).toEqual([
      'handles on both sides of T100',
    ]);
    expect(stairsOf(hungUnit({ body: { handles: [] } }).type, 20).missing).toEqual(['handles of T100']);
  });
});
