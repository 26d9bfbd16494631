import { expect, it } from 'vitest';
import { edges } from '../../../testing/edges';
import { stringTest } from '../../../testing/readings';
import { POLARITY } from './polarity';

edges(POLARITY, () => ({
  holds: [stringTest({ voltageV: 0.1 }), stringTest()],
  stops: [stringTest({ voltageV: 0 }), stringTest({ voltageV: -870 })],
  without: {},
  numbers: [-870, 812].map((voltageV) => [stringTest({ voltageV }), { value: voltageV }]),
}));

it('tells a reversed string from a dead one', () => {
  const said = (voltageV: number) =>
    POLARITY.check(stringTest({ voltageV }), { element: 'string', path: '' }).working[1];
  expect(said(-10.1)).toContain('Reversed');
  expect(said(-10)).toContain('No voltage');
});
