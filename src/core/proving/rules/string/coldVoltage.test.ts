import { expect, it } from 'vitest';
import { known, lacking } from '../../../kernel/answer';
import { coldModuleV } from '../../../strings/coldVoltage';
import { edges } from '../../../testing/edges';
import { COLD_BY, M575 } from '../../../testing/examples';
import { stringTest } from '../../../testing/readings';
import { MEASURED_COLD } from './coldVoltage';

const reading = stringTest();
const COLD_V = reading.coldV ?? Number.NaN;
const limit = (v: number) => stringTest({ limitV: known(v) });

edges(MEASURED_COLD, () => ({
  holds: [limit(COLD_V / 0.98), limit(1500)],
  tight: [limit(COLD_V / 0.9801), limit(COLD_V), stringTest({ voltageV: 0.96 * reading.voltageV })],
  stops: [limit(COLD_V - 0.01)],
  without: {
    'lowest design temperature': stringTest({ coldestC: null, cold: lacking('lowest design temperature') }),
    'DC limit': stringTest({ limitV: lacking('legal DC limit, or whether the array is on a building') }),
  },
  numbers: [[limit(1100), { value: COLD_V, limit: 1100 }]],
  says: [[stringTest({ voltageV: 0.96 * reading.voltageV }), /→/, /% from the design figure .* check model and count/]],
}));

it('is read by the method of the site: a table of 1.14 at −10 °C carries the reading 5 % further than the coefficient', () => {
  const by = (method: 'coefficient' | 'table') =>
    stringTest({ cold: coldModuleV(M575, -10, { ...COLD_BY, method }), coldestC: -10 });
  const [table, coefficient] = [by('table').coldV ?? 0, by('coefficient').coldV ?? 0];
  expect(table / coefficient).toBeCloseTo(1.14 / (1 + 0.00251 * 35), 9);
  // Against the design figure of the same method nothing is odd.
  expect(MEASURED_COLD.check(by('table'), { element: 'string', path: '' }).verdict).toBe('holds');
});

it('never takes less than the reading itself', () =>
  expect(
    MEASURED_COLD.check(stringTest({ cold: known({ uocColdV: 40, factor: 0.8, working: '', doubt: null }) }), {
      element: 'string',
      path: '',
    }).value,
  ).toBe(reading.voltageV));
