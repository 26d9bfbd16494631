import { describe, expect, it } from 'vitest';
import { generator } from '../../kernel/generator';
import { ladderV } from './ladder';

/** The same system as a full matrix, by elimination with the largest pivot. */
function eliminated(hopOhm: readonly number[], acrossS: readonly number[], intoA: readonly number[]): number[] {
  const n = acrossS.length;
  const rows = Array.from({ length: n }, (_, i) => [
    ...Array.from({ length: n }, (__, j) => {
      const hop = (k: number) => (k >= 0 && k < n - 1 ? 1 / (hopOhm[k] ?? Infinity) : 0);
      if (i === j) return (acrossS[i] ?? 0) + hop(i - 1) + hop(i);
      return Math.abs(i - j) === 1 ? -hop(Math.min(i, j)) : 0;
    }),
    intoA[i] ?? 0,
  ]);
  for (let c = 0; c < n; c++) {
    const pivot = rows
      .slice(c)
      .reduce((best, row, k) => (Math.abs(row[c] ?? 0) > Math.abs(rows[best]?.[c] ?? 0) ? c + k : best), c);
    [rows[c], rows[pivot]] = [rows[pivot] as number[], rows[c] as number[]];
    for (let r = 0; r < n; r++) {
      if (r === c) continue;
      const factor = (rows[r]?.[c] ?? 0) / (rows[c]?.[c] ?? 1);
      rows[r] = (rows[r] ?? []).map((v, k) => v - factor * (rows[c]?.[k] ?? 0));
    }
  }
  return rows.map((row, i) => (row[n] ?? 0) / (row[i] ?? 1));
}

describe('a chain of resistances', () => {
  it('divides as two resistors do', () => {
    const [a, b] = ladderV({ hopOhm: [100], acrossS: [0, 1 / 50], intoA: [0.03, 0] });
    expect(a).toBeCloseTo(0.03 * 150, 12);
    expect(b).toBeCloseTo(0.03 * 50, 12);
  });
  it('agrees with a full elimination', () => {
    const random = generator(5);
    for (let round = 0; round < 40; round++) {
      const n = 2 + Math.floor(random() * 9);
      const hopOhm = Array.from({ length: n - 1 }, () => 0.5 + 20 * random());
      const acrossS = Array.from({ length: n }, () => (random() < 0.3 ? 1 / 120 : 1 / 24_000));
      const intoA = Array.from({ length: n }, () => (random() < 0.3 ? random() - 0.5 : 0));
      const [found, expected] = [ladderV({ hopOhm, acrossS, intoA }), eliminated(hopOhm, acrossS, intoA)];
      found.forEach((v, i) => expect(v).toBeCloseTo(expected[i] ?? NaN, 9));
    }
  });
  it('lets nothing past an open hop, and is at rest where nothing feeds it', () => {
    const open = ladderV({ hopOhm: [Infinity], acrossS: [1 / 60, 1 / 120], intoA: [0.1, 0] });
    expect(open).toEqual([6, 0]);
    expect(ladderV({ hopOhm: [10], acrossS: [0, 0], intoA: [0, 0] })).toEqual([0, 0]);
    expect(ladderV({ hopOhm: [], acrossS: [], intoA: [] })).toEqual([]);
  });
  it('takes two units in one box, and lists that belong together', () => {
    const [a, b] = ladderV({ hopOhm: [0], acrossS: [1 / 100, 1 / 100], intoA: [1, 0] });
    expect(a).toBeCloseTo(50, 5);
    expect(b).toBeCloseTo(50, 5);
    expect(() => ladderV({ hopOhm: [], acrossS: [1, 1], intoA: [0, 0] })).toThrow(/hops/);
    expect(() => ladderV({ hopOhm: [1], acrossS: [1, 1], intoA: [0] })).toThrow(/sources/);
  });
});
