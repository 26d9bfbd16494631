import { edges } from '../../../testing/edges';
import { EXPECTED_V, stringTest } from '../../../testing/readings';
import { CAUSE } from './cause';

const off = (percent: number) => stringTest({ voltageV: EXPECTED_V * (1 + percent / 100) });

edges(CAUSE, () => ({
  holds: [off(0), off(-1), off(1)],
  tight: [off(-2.4), off(-2.6)],
  stops: [off(-5.6), off(-11), stringTest({ voltageV: -EXPECTED_V })],
  without: {},
  numbers: [[off(0), { value: EXPECTED_V, limit: EXPECTED_V }]],
}));
