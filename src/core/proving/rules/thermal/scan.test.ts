import { expect, it } from 'vitest';
import { edges } from '../../../testing/edges';
import type { ThermalScan } from '../../measure/thermalScan';
import { thermalScan } from '../../measure/thermalScan';
import { THERMAL_SCAN } from './scan';

const at = (over: Partial<ThermalScan> = {}, exponent?: number) => ({
  proof: thermalScan({ likeK: 3, riseK: 50, currentA: 160, fullLoadA: 160, minutes: 60, ...over }, exponent),
});

// Bands of NETA MTS 100.18 and 70 K of IEC 61439-1 (recalled), at full load.
edges(THERMAL_SCAN, () => ({
  holds: [at(), at({ likeK: 0.5, riseK: 10, currentA: 64 })],
  tight: [at({ likeK: 3.01 }), at({ likeK: 15 }), at({ riseK: 50.01 }), at({ riseK: 70 })],
  stops: [at({ likeK: 15.01 }), at({ riseK: 70.01 })],
  without: { 'a scan under load': at({ currentA: 63.9 }) },
  numbers: [[at({ riseK: 35 }), { value: 35, limit: 70, margin: 50 }]],
  says: [[at(), /at 100 % load/, /3.0 K over a like joint, 50.0 K over ambient/]],
}));

it('carries 4.2 K and 21 K at 88 A of 160 A to 10.9312289 K and 54.6561443 K (worked value)', () => {
  const { value } = at({ likeK: 4.2, riseK: 21, currentA: 88 }).proof;
  expect(value?.likeFullK).toBeCloseTo(10.9312289, 6);
  expect(value?.riseFullK).toBeCloseTo(54.6561443, 6);
  expect(value).toMatchObject({ verdict: 'tight', load: 0.55 });
});
it('proves nothing before an hour of load, and is stricter by the square', () => {
  expect(at({ minutes: 59 }).proof.value).toBeNull();
  expect(at({ currentA: 80, riseK: 17 }).proof.value?.verdict).toBe('tight');
  expect(at({ currentA: 80, likeK: 1, riseK: 18 }, 2).proof.value?.verdict).toBe('stop');
});
