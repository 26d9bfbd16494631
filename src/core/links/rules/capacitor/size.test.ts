import { describe, expect, it } from 'vitest';
import { wholeChain } from '../../../testing/chains';
import { edges } from '../../../testing/edges';
import { leastTerminatorNf, mostTerminatorNf } from '../../line/budget';
import type { ChainResult } from '../../results';
import { TERMINATOR_CAPACITOR } from './size';

const at = (terminatorNf: number | null, over: object = {}, bitRate: 9600 | 19_200 | null = 9600): ChainResult => {
  const c = wholeChain(5, 250, { terminatorKind: 'resistor and capacitor', terminatorNf, ...over });
  return { ...c, chain: { ...c.chain, bitRate } };
};

// 250 m at 6 ns/m and 120 Ω: 25 nF at least; half a bit of 9600 over five times 240 Ω: 43.4 nF at most.
edges(TERMINATOR_CAPACITOR, () => ({
  holds: [at(25), at(43.4)],
  stops: [at(24.9), at(43.5), at(25, {}, 19_200), at(22, {}, 19_200)],
  without: {
    'capacitor of the terminators': at(null),
    'resistance of the terminators': at(33, { terminatorOhm: null }),
    'bit rate': at(33, {}, null),
    'delay of the pair': at(33, { delayNsPerM: null }),
    'wave impedance of the pair': at(33, { impedanceOhm: null }),
    'routes or positions': { ...at(33), lengthM: { value: null, missing: ['route or positions for A to B'] } },
  },
  numbers: [
    [at(20), { value: 20, limit: 25 }],
    [at(50), { value: 50, limit: 1e9 / (2 * 9600 * 5 * 240) }],
  ],
  says: [
    [at(33), /^2 × 1500 ns \/ 120 Ω = 25.0 nF at least$/, /= 43.4 nF at most$/],
    [at(22, {}, 19_200), /25.0 nF at least$/, /= 21.7 nF at most$/, /no capacitor does it at this length and rate/],
  ],
}));

describe('the window of the capacitor', () => {
  it('closes where half a bit is shorter than the pair takes to settle', () => {
    expect(leastTerminatorNf(250, 6, 120)).toBe(25);
    expect(mostTerminatorNf(19_200, 120, 120)).toBeCloseTo(21.70138889, 8);
    expect(() => mostTerminatorNf(0, 120, 120)).toThrow(RangeError);
  });
});
