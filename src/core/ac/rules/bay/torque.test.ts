import { expect, it } from 'vitest';
import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { TORQUE } from './torque';

const torque = (torqueMinNm: number | null, torqueMaxNm: number | null, studM: 6 | 8 | 10 = 10) =>
  acRun({ bay: { torqueMinNm, torqueMaxNm, studM } });

edges(TORQUE, {
  holds: [torque(20, 30)],
  tight: [torque(null, null)],
  without: { 'torque of the AC studs': { ...torque(20, 30), torque: null } },
  // Typical range for M10: 20 to 30 N·m (common practice).
  numbers: [
    [torque(10, 16), { value: 13 }],
    [torque(null, null), { value: 25 }],
  ],
});

it('gives the tool a narrower window than the joint (ISO 6789-1: 4 % over 10 N·m, 6 % to it)', () => {
  const lines = (r: ReturnType<typeof torque>) => TORQUE.check(r, { element: 'lug', path: '' }).working;
  expect(lines(torque(20, 30))[1]).toContain('20.8 to 28.8 N·m');
  expect(lines(torque(8, 10))[1]).toContain('8.5 to 9.4 N·m');
});
