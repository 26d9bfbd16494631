import { edges } from '../../../testing/edges';
import { EXPECTED_V, stringTest } from '../../../testing/readings';
import { EXPECTED_VOLTAGE } from './expectedVoltage';

const off = (percent: number) => stringTest({ sistersV: [], voltageV: EXPECTED_V * (1 + percent / 100) });

edges(EXPECTED_VOLTAGE, () => ({
  holds: [off(4.999), off(-4.999)],
  tight: [off(5.001), off(-9.999)],
  stops: [off(10.001), off(-10.001)],
  without: {},
  numbers: [[off(0), { value: EXPECTED_V, limit: EXPECTED_V }]],
}));
