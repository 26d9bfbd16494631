import { expect, it } from 'vitest';
import { edges } from '../../../testing/edges';
import { onInput } from '../../../testing/subjects';
import { COLD_VOLTAGE } from './coldVoltage';

/** 19 × 51.62 V × (1 + 0.00251 × 37) at −12 °C (IEC 62548-1, coefficient method). */
const COLD_19_V = 19 * 51.62 * (1 + 0.00251 * 37);
const limit = (dcMaxV: number) => onInput({ string: { modules: 19 }, type: { dcMaxV, mpptMaxV: 900 } });

const stamped = (engineeredUocColdV: number) =>
  onInput({
    plane: { engineeredUocColdV },
    survey: { school: 'NEC', coldMethod: 'engineered', engineeredDocument: 'E-12' },
    string: { modules: 10 },
  });

edges(COLD_VOLTAGE, () => ({
  holds: [limit(COLD_19_V / 0.9899), limit(1500), stamped(55)],
  // A stamped figure more than 3 % under the coefficient's is looked at again, one that no module has stops.
  tight: [limit(COLD_19_V / 0.9901), limit(COLD_19_V), stamped(54.5)],
  stops: [limit(COLD_19_V - 0.01), stamped(50), stamped(80)],
  without: { 'the window of the string': onInput({ survey: { coldestC: null } }) },
  says: [
    [limit(1500), /./, /./, /^n × U_oc,cold = 19 × 56\.41 V = 1071\.9 V ≤ 1500 V$/],
    [stamped(54.5), /./, /./, /./, /3\.\d+ % below the coefficient method .* look at it again/],
    [stamped(50), /./, /./, /./, /50 V is no cold voltage of M575/],
  ],
  numbers: [[limit(1100), { value: COLD_19_V, limit: 1100 }]],
}));

it('is judged by the smallest of inverter, module, connectors and law', () => {
  const smallest = (over: Parameters<typeof onInput>[0]) =>
    COLD_VOLTAGE.check(onInput(over), { element: 'string', path: '' }).limit;
  expect(smallest({ type: { dcMaxV: 1050 } })).toBe(1050);
  expect(smallest({ module: { systemMaxV: 1000 } })).toBe(1000);
  expect(smallest({ type: { connectorMaxV: 990 } })).toBe(990);
  expect(smallest({ survey: { dcLegalMaxV: 980 } })).toBe(980);
  expect(smallest({ survey: { school: 'NEC', building: 'one- or two-family dwelling' } })).toBe(600);
  expect(smallest({ survey: { building: 'not on a building', dcLegalMaxV: null } })).toBe(1100);
});

it('says how much colder the morning may be, while that is little', () => {
  const said = (dcMaxV: number) => COLD_VOLTAGE.check(limit(dcMaxV), { element: 'string', path: '' }).working.at(-1);
  expect(said(COLD_19_V * 1.005)).toContain('2.2 K colder');
  expect(said(1500)).not.toContain('colder');
});
