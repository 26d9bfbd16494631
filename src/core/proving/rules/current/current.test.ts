import { expect, it } from 'vitest';
import { edges } from '../../../testing/edges';
import { M575 } from '../../../testing/examples';
import type { CurrentTest } from '../../measure/stringCurrent';
import { stringCurrent } from '../../measure/stringCurrent';
import { STRING_CURRENT_RULE } from './current';

/** I_sc 13.9 A, α 0.00045 1/K: 12.3475924 A at 880 W/m² and 46 °C (worked value). */
const MODULE = { ...M575, iscA: 13.9, alphaIscPerK: 0.00045 };
const EXPECTED = 12.3475924;
const test = (currentA: number, over: Partial<CurrentTest> = {}) => ({
  currentA,
  proof: stringCurrent(MODULE, {
    currentA,
    irradianceStartWm2: 880,
    irradianceEndWm2: 880,
    cellC: 46,
    sistersA: [],
    ...over,
  }),
});
const sisters = (a: number) => ({ sistersA: [a, a, a] });

edges(STRING_CURRENT_RULE, () => ({
  holds: [
    test(11.9),
    test(0.9001 * EXPECTED),
    test(1.0999 * EXPECTED),
    test(12, sisters(12 / 1.0499)),
    test(12, sisters(12 / 0.9501)),
  ],
  tight: [
    test(0.8999 * EXPECTED),
    test(0.8501 * EXPECTED),
    test(12, sisters(12 / 1.0501)),
    test(EXPECTED * 0.44, { irradianceStartWm2: 390, irradianceEndWm2: 390 }),
  ],
  stops: [test(0.8499 * EXPECTED), test(1.1501 * EXPECTED), test(12, sisters(12 / 1.1001))],
  without: { 'light that says something': test(2, { irradianceStartWm2: 199, irradianceEndWm2: 199 }) },
  numbers: [[test(11.9), { value: 11.9, limit: EXPECTED }]],
  says: [
    [test(11.9), /I_exp = 12.35 A; read 11.90 A, [-−]3.6 %/, /no sisters/],
    [test(12, sisters(12)), /./, /median of 3 sisters 12.00 A/],
  ],
}));

it('proves nothing in light that moves over 5 % while it is read', () => {
  expect(test(12, { irradianceEndWm2: 880 * 1.05 }).proof.value).not.toBeNull();
  expect(test(12, { irradianceEndWm2: 880 * 1.0501 }).proof.value).toBeNull();
});
it('needs three sisters to be judged by them', () =>
  expect(test(12, { sistersA: [20, 20] }).proof.value?.verdict).toBe('holds'));
