import { expect, it } from 'vitest';
import { RELEASES_MOST, releaseLetter, releaseNumber } from './releaseLetter';

it('are those of drawings: A to Z, then AA to ZZ (common practice)', () => {
  const named = [1, 2, 26, 27, 28, 52, 53, 702].map(releaseLetter);
  expect(named).toEqual(['A', 'B', 'Z', 'AA', 'AB', 'AZ', 'BA', 'ZZ']);
});
it('lead back to their number, every one of them', () => {
  const all = Array.from({ length: RELEASES_MOST }, (_, i) => releaseLetter(i + 1));
  expect(new Set(all).size).toBe(RELEASES_MOST);
  expect(all.map(releaseNumber)).toEqual(all.map((_, i) => i + 1));
});
it('end where they end, and nothing else is one', () => {
  for (const n of [0, 703, 1.5, Number.NaN]) expect(() => releaseLetter(n)).toThrow(/n must be 1 to 702/);
  for (const name of ['', '[A', 'a', 'AAA', 'Ä']) expect(() => releaseNumber(name)).toThrow(/name must be A to Z/);
});
