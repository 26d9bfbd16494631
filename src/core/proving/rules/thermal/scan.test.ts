import { expect, it } from 'vitest';
import { edges } from '../../../testing/edges';
import type { ThermalScan } from '../../measure/thermalScan';
import { thermalScan } from '../../measure/thermalScan';
import { THERMAL_SCAN } from './scan';

const at = (over: Partial<ThermalScan> = {}) => ({
  proof: thermalScan({ likeK: 3, riseK: 50, currentA: 160, fullLoadA: 160, minutes: 60, ...over }),
});

// Bands of NETA MTS 100.18 and 70 K of IEC 61439-1 (recalled), at full load.
edges(THERMAL_SCAN, () => ({
  holds: [at(), at({ likeK: 0.5, riseK: 10, currentA: 64 })],
  tight: [at({ likeK: 3.01 }), at({ likeK: 15 }), at({ riseK: 50.01 }), at({ riseK: 70 })],
  stops: [at({ likeK: 15.01 }), at({ riseK: 70.01 })],
  without: { 'a scan under load': at({ currentA: 63.9 }) },
  numbers: [[at({ riseK: 35 }), { value: 35, limit: 70, margin: 50 }]],
  says: [
    [
      at(),
      /at 100 % load, factor \(I_max\/I\)\^1\.6/,
      /3.0 K over a like joint, 50.0 K over ambient at full load/,
      /^other schools: /,
    ],
    [
      at({ currentA: 80, likeK: 1, riseK: 18 }),
      /at 50 % load/,
      /at full load$/,
      /by the square of the current 4.0 K over a like joint, 72.0 K over ambient \(stop\); as read 1.0 K .* 18.0 K over ambient \(holds\)/,
    ],
  ],
}));

it('carries 4.2 K and 21 K at 88 A of 160 A to 10.9312289 K and 54.6561443 K (worked value)', () => {
  const { value } = at({ likeK: 4.2, riseK: 21, currentA: 88 }).proof;
  expect(value?.atFull.likeK).toBeCloseTo(10.9312289, 6);
  expect(value?.atFull.riseK).toBeCloseTo(54.6561443, 6);
  expect(value).toMatchObject({ load: 0.55, atFull: { verdict: 'tight' } });
});
it('proves nothing before an hour of load', () => {
  expect(at({ minutes: 59 }).proof.value).toBeNull();
});
it('is read by each school in its own way: the square is stricter, as read is milder, and the middle one decides', () => {
  expect(at({ currentA: 80, likeK: 1, riseK: 18 }).proof.value).toMatchObject({
    atFull: { verdict: 'tight' },
    bySquare: { verdict: 'stop', likeK: 4, riseK: 72 },
    asRead: { verdict: 'holds', likeK: 1, riseK: 18 },
  });
});
