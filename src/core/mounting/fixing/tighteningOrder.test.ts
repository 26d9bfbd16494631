import { describe, expect, it } from 'vitest';
import { PASSES_PERCENT, plateOrder, tighteningSteps } from './tighteningOrder';

/** Four corners as a sheet lists them: upper left, upper right, lower left, lower right. */
const CORNERS = [
  { xMm: 0, yMm: 300 },
  { xMm: 800, yMm: 300 },
  { xMm: 0, yMm: 0 },
  { xMm: 800, yMm: 0 },
];

describe('every turn of the wrench', () => {
  const steps = tighteningSteps(CORNERS);
  it('is the passes crosswise, then once round at the whole torque, clockwise from the upper left', () => {
    expect(steps.map((s) => s.percent)).toEqual([...[30, 70, 100, 100].flatMap((p) => [p, p, p, p])]);
    expect(steps.slice(0, 4).map((s) => s.screw)).toEqual([1, 4, 2, 3]);
    expect(steps.slice(12).map((s) => [s.screw, s.round, s.pass])).toEqual([
      [1, true, 4],
      [2, true, 4],
      [4, true, 4],
      [3, true, 4],
    ]);
    expect(steps.slice(0, 12).every((s) => !s.round)).toBe(true);
  });
  it('takes every screw once in every pass, in the order of the plate', () => {
    const six = [...CORNERS, { xMm: 400, yMm: 300 }, { xMm: 400, yMm: 0 }];
    const all = tighteningSteps(six);
    expect(all).toHaveLength(6 * (PASSES_PERCENT.length + 1));
    for (let pass = 1; pass <= PASSES_PERCENT.length; pass++)
      expect(all.filter((s) => s.pass === pass).map((s) => s.screw)).toEqual(plateOrder(six));
    // Clockwise from the upper left: the top from left to right, the bottom back.
    expect(all.filter((s) => s.round).map((s) => s.screw)).toEqual([1, 5, 2, 4, 6, 3]);
  });
});
