import { expect, it } from 'vitest';
import { boardHighestV } from '../../../site/boardVoltage';
import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { TERMINAL_VOLTAGE } from './terminalVoltage';

/** A run so short that board and unit read the same: 440 V is the trip level of 400 V (EN 50549-1, recalled), 2 % under it 431.2 V. */
const board = (boardHighestV: number | null, over: object = {}) =>
  acRun({ run: { lengthM: 0.5 }, survey: { boardHighestV, ...over } });

edges(TERMINAL_VOLTAGE, () => ({
  holds: [board(431.1), board(400)],
  tight: [board(431.3), board(439.9)],
  stops: [board(440.1)],
  without: {
    'highest line-to-line voltage at the board while feeding': board(null),
    'grid code with a trip level': board(420, { gridCode: null }),
    'impedance of the run': acRun({ run: { sectionMm2: null } }),
  },
  numbers: [[board(431), { limit: 440 }]],
  says: [
    // 236 V × √3 is 409 V: a board read between a line and the neutral is asked again, not taken.
    [board(236), /^Missing: the line-to-line voltage at the board: 236 V × √3 is 409 V/],
    [board(202), /^Missing: the line-to-line/],
    [board(265), /^Missing: the line-to-line/],
    [board(431), /^board 431 V, 110000 W, all apparent power as active/, /440\.0 V/],
  ],
}));

it('takes a board voltage from 0.85 of nominal as it stands, and asks again below', () => {
  for (const v of [340, 380, 452]) expect(boardHighestV({ boardHighestV: v, lineV: 400 }).value).toBe(v);
  expect(boardHighestV({ boardHighestV: 339.9, lineV: 400 }).missing[0]).toMatch(
    /339\.9 V is under 0\.85 of the nominal 400 V$/,
  );
  expect(boardHighestV({ boardHighestV: 196, lineV: 400 }).missing[0]).toMatch(/under 0\.85/);
  expect(boardHighestV({ boardHighestV: 265.5, lineV: 400 }).missing[0]).toMatch(/reads like a line to neutral$/);
});

it('lifts by the power that the current stands for, not by the smaller rated one', () => {
  // 110 kVA over 60 m of 120 mm²: V² = (b + √(b² − 4c))/2 with P the apparent power (power flow of two nodes).
  const r = acRun({ survey: { boardHighestV: 410 } });
  const z = r.impedance.value!;
  const b = 410 ** 2 + 2 * z.ohm * 110_000;
  const c = (z.ohm ** 2 + z.reactanceOhm ** 2) * 110_000 ** 2;
  expect(r.terminalV.value).toBeCloseTo(Math.sqrt((b + Math.sqrt(b * b - 4 * c)) / 2), 9);
});
