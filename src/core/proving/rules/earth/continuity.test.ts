import { expect, it } from 'vitest';
import { edges } from '../../../testing/edges';
import type { EarthLeg } from '../../measure/earthContinuity';
import { earthContinuity } from '../../measure/earthContinuity';
import { EARTH_CONTINUITY } from './continuity';

/** 28 m of 16 mm² copper at 35 °C with two joints: R_lim 0.102437968 Ω (worked value; IEC 60028, IEC 61557-4, recalled). */
const leg = (over: Partial<EarthLeg> = {}) => ({
  name: 'PE bar',
  proof: earthContinuity({
    readOhm: 0.148,
    nullOhm: 0.061,
    lengthM: 28,
    sectionMm2: 16,
    metal: 'Cu',
    conductorC: 35,
    joints: 2,
    testA: 0.2,
    ...over,
  }),
});
const LIMIT = 1.25 * (0.0319503747 + 0.01) + 0.05;

edges(EARTH_CONTINUITY, () => ({
  holds: [leg(), leg({ readOhm: 0.061 + LIMIT - 1e-6 })],
  // 90 m of 16 mm² at 20 °C is 0.097 Ω bare: under half of it another path was measured beside.
  tight: [leg({ readOhm: 0.035, nullOhm: 0.02, lengthM: 90, conductorC: 20 })],
  stops: [leg({ readOhm: 0.061 + LIMIT + 1e-6 }), leg({ readOhm: 50 })],
  without: { 'an earth measurement that proves something': leg({ testA: 0.199 }) },
  numbers: [[leg(), { value: 0.087, limit: LIMIT, margin: 100 * (1 - 0.087 / LIMIT) }]],
  says: [
    [
      leg(),
      /PE bar: R = 0.087 Ω; bare 0.0320 Ω, with joints 0.0420 Ω/,
      /R_lim = 1.25·R_exp \+ 0.05 Ω = 0.1024 Ω/,
      /As the conductor/,
    ],
    [leg({ readOhm: 0.035, nullOhm: 0.02, lengthM: 90, conductorC: 20 }), /./, /./, /parallel path/],
    [leg({ readOhm: 50 }), /./, /./, /loose joint/],
  ],
}));

it('is 0.0319503747 Ω bare and 0.0419503747 Ω with its joints; 0.096980625 Ω for 90 m (worked values)', () => {
  expect(leg().proof.value?.bareOhm).toBeCloseTo(0.0319503747, 9);
  expect(leg().proof.value?.expectedOhm).toBeCloseTo(0.0419503747, 9);
  expect(leg({ lengthM: 90, conductorC: 20 }).proof.value?.bareOhm).toBeCloseTo(0.096980625, 9);
  expect(leg({ metal: 'Al', conductorC: 20 }).proof.value?.bareOhm).toBeCloseTo((0.028264 * 28) / 16, 9);
});
it('asks for the leads to be nulled again below zero, and refuses a conductor without length', () => {
  expect(leg({ readOhm: 0.06 }).proof.missing[0]).toContain('null the leads');
  expect(() => leg({ lengthM: 0 })).toThrow(/lengthM/);
});
it('calls no short bare conductor a parallel path', () =>
  expect(leg({ readOhm: 0.062, lengthM: 10 }).proof.value?.verdict).toBe('holds'));
