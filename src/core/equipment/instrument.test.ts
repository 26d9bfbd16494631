import { describe, expect, it } from 'vitest';
import type { TypedRange } from './instrument';
import { BLANK_RANGE, READS, MEASURED, instrumentSchema, rangeText, typedRanges, uncertaintyOf } from './instrument';

const lacks = (over: Partial<TypedRange>) => typedRanges({ 'trip time': { ...BLANK_RANGE, ...over } }).lacks;

describe('a range as it is typed', () => {
  it('is there once it says how far it goes, from nothing on where it does not say', () => {
    const { ranges } = typedRanges({
      'trip time': { ...BLANK_RANGE, max: 2000 },
      'residual current': { min: 3, max: 30000, accuracyPercent: 5, digits: 2, resolution: 0.1 },
      time: BLANK_RANGE,
    });
    expect(ranges).toEqual([
      { of: 'trip time', min: 0, max: 2000, accuracyPercent: null, digits: null, resolution: null },
      { of: 'residual current', min: 3, max: 30000, accuracyPercent: 5, digits: 2, resolution: 0.1 },
    ]);
    const made = {
      kind: 'residual-current tester',
      name: 'Tester',
      serial: '7',
      calibratedUntil: '2027-01-31',
      ranges,
    };
    expect(instrumentSchema.parse(made)).toEqual(made);
  });
  it('is asked for the half without which the other says nothing', () => {
    expect(lacks({})).toBeNull();
    expect(lacks({ max: 2000, resolution: 1 })).toBeNull();
    expect(lacks({ max: 2000, accuracyPercent: 0, digits: 2, resolution: 1 })).toBeNull();
    expect(lacks({ min: 5 })).toBe('Trip time: say up to what it reads, in ms.');
    expect(lacks({ accuracyPercent: 2 })).toMatch(/up to what/);
    expect(lacks({ max: 2000, digits: 2, resolution: 1 })).toMatch(/share of the reading/);
    expect(lacks({ max: 2000, accuracyPercent: 2, digits: 2 })).toMatch(/one digit of its last place is worth, in ms/);
    expect(lacks({ min: 2000, max: 2000 })).toMatch(/2000 to 2000 is no range/);
    expect(lacks({ max: 0 })).toMatch(/0 to 0 is no range/);
  });
  it('is listed with what it may err by, as far as that is known', () => {
    const range = { of: 'trip time', min: 0, max: 2000, accuracyPercent: 2, digits: 3, resolution: 1 } as const;
    expect(rangeText(range)).toBe('trip time 0 to 2000 ms ± (2 % + 3 × 1 ms)');
    expect(rangeText({ ...range, digits: null })).toBe('trip time 0 to 2000 ms ± 2 %');
    expect(rangeText({ ...range, digits: 0 })).toBe('trip time 0 to 2000 ms ± 2 %');
    expect(rangeText({ ...range, accuracyPercent: null })).toBe('trip time 0 to 2000 ms');
  });
});

it('every kind of instrument reads something, in a unit', () => {
  for (const quantities of Object.values(READS))
    expect(quantities.map((of) => MEASURED[of]).every(Boolean) && quantities.length > 0).toBe(true);
});

// U = %·|x| + digits·resolution: 2 % of 280 ms and 3 ms.
it('errs by a share of the reading and by its last places', () => {
  const range = { of: 'trip time', min: 0, max: 2000, accuracyPercent: 2, digits: 3, resolution: 1 } as const;
  expect(uncertaintyOf(range, 280)).toBeCloseTo(8.6, 10);
  expect(uncertaintyOf(range, -280)).toBeCloseTo(8.6, 10);
  expect(uncertaintyOf({ ...range, digits: null, resolution: null }, 280)).toBeCloseTo(5.6, 10);
  expect(uncertaintyOf({ ...range, accuracyPercent: null }, 280)).toBeNull();
  expect(uncertaintyOf(undefined, 280)).toBeNull();
});
