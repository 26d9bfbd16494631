import { describe, expect, it } from 'vitest';
import { circuitsOf, leastSeparationMm } from './separation';

/** EN 50174-2:2009, separation of information technology and power cables (recalled). */
describe('separation from power cables', () => {
  it('counts a three-phase run of 180 A as 27 circuits of 20 A, and asks 100 mm of a class c cable without barrier', () => {
    expect(circuitsOf(180, 3)).toBe(27);
    expect(leastSeparationMm('c', 'none', 27)).toBe(100);
  });
  it.each([
    [1, 60],
    [3, 60],
    [4, 120],
    [15, 300],
    [16, 600],
    [30, 600],
    [31, 900],
    [75, 1500],
    [76, 1800],
  ])('%s circuits put an unscreened cable %s mm off', (circuits, mm) =>
    expect(leastSeparationMm('a', 'none', circuits)).toBeCloseTo(mm, 9),
  );
  it('lets a solid metallic barrier stand for the distance, and counts whole circuits that are there', () => {
    expect(leastSeparationMm('a', 'solid metallic', 500)).toBe(0);
    expect(circuitsOf(20, 1)).toBe(1);
    expect(circuitsOf(20.1, 1)).toBe(2);
    expect(() => leastSeparationMm('a', 'none', 0)).toThrow(/circuits/);
    expect(() => circuitsOf(0, 3)).toThrow(/ampA/);
    expect(() => circuitsOf(10, 4)).toThrow(/phases/);
  });
});
