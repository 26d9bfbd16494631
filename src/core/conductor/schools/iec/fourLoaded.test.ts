import { describe, expect, it } from 'vitest';
import { fourLoadedFactor } from './fourLoaded';

describe('four loaded conductors (IEC 60364-5-52, Annex E, recalled)', () => {
  /** The example of that annex: 39 A a line on PVC in a wall or clipped. Current the cable has to be chosen for by the tables of three. */
  it.each([
    [0, 39],
    [15, 39],
    [20, 39 / 0.86],
    [33, 39 / 0.86],
    [40, (39 * 0.4 * 3) / 0.86],
    [45, (39 * 0.45 * 3) / 0.86],
    [50, 39 * 0.5 * 3],
  ])('a line of 39 A with %s % of third harmonic wants a table value of %s A', (h, wantedA) =>
    expect(39 / fourLoadedFactor(h).factor).toBeCloseTo(wantedA, 9),
  );
  it('gives the figures that the annex prints: 45, 54.4 and 58.5 A', () => {
    expect(39 / fourLoadedFactor(20).factor).toBeCloseTo(45.3, 1);
    expect(39 / fourLoadedFactor(40).factor).toBeCloseTo(54.4, 1);
    expect(39 / fourLoadedFactor(50).factor).toBeCloseTo(58.5, 1);
  });
  it('says what rules', () => {
    expect(fourLoadedFactor(15).words).toMatch(/for nothing$/);
    expect(fourLoadedFactor(16).words).toMatch(/four loaded/);
    expect(fourLoadedFactor(34).words).toMatch(/102 % of the line current and rules, × 0\.86 \/ 1\.02$/);
    expect(fourLoadedFactor(50).words).toMatch(/× 1 \/ 1\.50$/);
  });
});
