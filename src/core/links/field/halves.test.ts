import { describe, expect, it } from 'vitest';
import { halves } from './halves';
import { halfSplits } from './symptoms';

/** Follows the search to its end where the fault lies at one place; null: nowhere. */
function followed(devices: number, fault: number | null) {
  const answers: boolean[] = [];
  for (;;) {
    const step = halves(devices, answers);
    if ('faultAt' in step) return { ...step, asked: answers.length };
    answers.push(fault === null || fault > step.pullBehind);
  }
}

describe('a fault looked for by halves', () => {
  it('is found wherever it lies, in as few plugs as there can be', () => {
    for (let n = 1; n <= 40; n++)
      for (const fault of [null, ...Array.from({ length: n }, (_, i) => i + 1)]) {
        const { faultAt, asked } = followed(n, fault);
        expect(faultAt, `${n} devices, at ${fault}`).toBe(fault);
        expect(asked).toBeLessThanOrEqual(halfSplits(n));
      }
  });
  it('begins in the middle, takes 4 plugs for 10 units and 5 for 31', () => {
    expect(halves(10, [])).toEqual({ pullBehind: 5 });
    expect(halves(10, [true])).toEqual({ pullBehind: 8 });
    expect(halves(10, [false])).toEqual({ pullBehind: 2 });
    expect(Math.max(...Array.from({ length: 31 }, (_, i) => followed(31, i + 1).asked))).toBe(5);
    expect(Math.max(...Array.from({ length: 10 }, (_, i) => followed(10, i + 1).asked))).toBe(4);
  });
  it('is not looked for where nobody is, nor past its end', () => {
    expect(() => halves(0, [])).toThrow(/devices/);
    expect(() => halves(1, [true, true])).toThrow(/answers must be at most 1 \(got 2\)/);
    expect(halves(1, [true])).toEqual({ faultAt: null });
    expect(halves(1, [false])).toEqual({ faultAt: 1 });
  });
});
