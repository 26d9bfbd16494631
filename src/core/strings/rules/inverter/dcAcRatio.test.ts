import { expect, it } from 'vitest';
import { edges } from '../../../testing/edges';
import { loadedInverter } from '../../../testing/subjects';
import { DC_AC_RATIO } from './dcAcRatio';

const ratio = (percent: number | null) => loadedInverter(percent === null ? null : 1000 * percent);

edges(DC_AC_RATIO, () => ({
  holds: [ratio(90), ratio(120), ratio(150)],
  tight: [ratio(89.99), ratio(150.01)],
  without: { strings: ratio(null) },
  numbers: [[ratio(120), { value: 120, limit: 150, margin: 20 }]],
  says: [[ratio(120), /^120\.00 kW \/ 100\.0 kW = 120\.0 %$/]],
}));

it('leaves no margin above the usual, and says which side it left', () => {
  const check = (p: number) => DC_AC_RATIO.check(ratio(p), { element: 'inverter', path: '' });
  expect([check(160).margin, check(160).working[1], check(80).working[1], check(120).working[1]]).toEqual([
    null,
    'Above the usual 150 %.',
    'The inverter is larger than needed.',
    undefined,
  ]);
});
