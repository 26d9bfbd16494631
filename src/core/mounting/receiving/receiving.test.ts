import { describe, expect, it } from 'vitest';
import { pooled, receiving } from './receiving';

// A worked delivery of three units: 10 of 12 bolts, one of three plates broken, 30 caps for 24 (handed down; common practice for the sums).
const PACKING = [
  { item: 'bolt', perUnit: 4 },
  { item: 'plate', perUnit: 1 },
  { item: 'cap', perUnit: 8 },
];
const CAME = [
  { item: 'bolt', got: 10, damaged: 0 },
  { item: 'plate', got: 3, damaged: 1 },
  { item: 'cap', got: 30, damaged: 0 },
];

describe('what came', () => {
  it('is short of two bolts and a plate, six caps over: two of three units can be finished', () => {
    const { rows, unitsComplete } = receiving(3, PACKING, CAME);
    expect(rows.map((r) => [r.item, r.expected, r.whole, r.short, r.over])).toEqual([
      ['bolt', 12, 10, 2, 0],
      ['plate', 3, 2, 1, 0],
      ['cap', 24, 30, 0, 6],
    ]);
    expect(unitsComplete).toBe(2);
  });
  it('finishes no more units than there are, none where a thing is missing, and all where nothing is listed', () => {
    expect(receiving(1, PACKING, CAME).unitsComplete).toBe(1);
    expect(receiving(3, PACKING, CAME.slice(1)).unitsComplete).toBe(0);
    expect(receiving(3, [], []).unitsComplete).toBe(3);
  });
  it('is over whole where nobody expected it', () => {
    const odd = { item: 'umbrella', got: 2, damaged: 1 };
    expect(receiving(3, PACKING, [...CAME, odd]).rows.at(-1)).toEqual({
      item: 'umbrella',
      expected: 0,
      whole: 1,
      short: 0,
      over: 1,
    });
  });
  it('is refused where more is damaged than came, where a thing is counted twice, and below nothing', () => {
    const one = (got: number, damaged: number) => () => receiving(1, PACKING, [{ item: 'bolt', got, damaged }]);
    expect(one(1, 2)).toThrow(RangeError);
    expect(one(-1, 0)).toThrow(RangeError);
    expect(one(2, -1)).toThrow(RangeError);
    expect(() => receiving(1, PACKING, [...CAME, ...CAME])).toThrow('counted once');
  });
  it('of several boxes is one count', () => {
    expect(pooled([CAME, [{ item: 'bolt', got: 2, damaged: 1 }]])[0]).toEqual({ item: 'bolt', got: 12, damaged: 1 });
  });
});
