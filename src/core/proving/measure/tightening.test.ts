import { describe, expect, it } from 'vitest';
import { outOfOrder, typedTooFast } from './tightening';

/** Joints typed one after the other, so many seconds apart. */
const typed = (names: readonly string[], apartS = 30) => names.map((at, i) => ({ at, afterS: i * apartS }));
const unit = (...names: string[]) => names.map((n) => `unit ${n}`);

/** The earth before the lines, then to one side or to the other: two schools, common practice. */
describe('the order of tightening', () => {
  it('is the earth first, then from one side to the other, whichever', () => {
    expect(outOfOrder(typed(unit('PE', 'L1', 'L2', 'L3', 'N')))).toEqual([]);
    expect(outOfOrder(typed(unit('PE', 'N', 'L3', 'L2', 'L1')))).toEqual([]);
    expect(outOfOrder(typed(unit('chassis earth', 'PE', 'L1', 'L2', 'L3')))).toEqual([]);
    // Each end for itself: the board may be done before the unit, or between.
    expect(outOfOrder(typed(['board PE', 'unit PE', 'board L1', 'unit L3', 'board L2', 'unit L2']))).toEqual([]);
  });
  it('is told where the earth comes late, and where it goes back and forth', () => {
    expect(outOfOrder(typed(unit('L1', 'PE', 'L2', 'L3')))).toEqual(['unit PE after the lines: the earth comes first']);
    expect(outOfOrder(typed(unit('PE', 'L1', 'L3', 'L2', 'N')))).toEqual([
      'unit: PE, L1, L3, L2, N goes back and forth',
    ]);
    expect(outOfOrder(typed(['board L1', 'board L2', 'board PE']))).toEqual([
      'board PE after the lines: the earth comes first',
    ]);
  });
  it('is that of the moments, not of the list', () => {
    const joints = [
      { at: 'unit L1', afterS: 40 },
      { at: 'unit PE', afterS: 0 },
      { at: 'unit L2', afterS: 90 },
    ];
    expect(outOfOrder(joints)).toEqual([]);
  });
  it('is known of none where one was not noted, of one joint alone, or where it was typed from paper', () => {
    const joints = typed(unit('L1', 'PE', 'L2'));
    expect(outOfOrder(joints)).toHaveLength(1);
    expect(outOfOrder([...joints, { at: 'unit L3' }])).toBeNull();
    expect(outOfOrder(typed(['unit L1']))).toBeNull();
    expect(outOfOrder([])).toBeNull();
    expect(outOfOrder(typed(unit('L1', 'PE')))).toEqual(['unit PE after the lines: the earth comes first']);
    expect(outOfOrder(typed(unit('PE', 'chassis earth')))).toEqual([]);
    expect(outOfOrder(typed(unit('L1', 'PE', 'L2'), 7.9))).toBeNull();
    expect(outOfOrder(typed(unit('L1', 'PE', 'L2'), 8))).toHaveLength(1);
  });
  it('counts the joints that were typed sooner than anybody tightens the next: under 8 s (common practice)', () => {
    const at = (...s: (number | undefined)[]) => s.map((afterS, i) => ({ at: `unit ${i}`, afterS }));
    expect(typedTooFast(at(0, 8, 16))).toBe(0);
    expect(typedTooFast(at(0, 7.9, 15.9))).toBe(1);
    expect(typedTooFast(at(20, 0, 3))).toBe(1);
    expect(typedTooFast(at(0, 1, undefined))).toBe(0);
    expect(typedTooFast([])).toBe(0);
  });
});
