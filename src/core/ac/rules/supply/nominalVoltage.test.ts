import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { NOMINAL_VOLTAGE } from './nominalVoltage';

const grid = (lineV: number | null) => acRun({ survey: { lineV } });

edges(NOMINAL_VOLTAGE, {
  holds: [grid(380), grid(400), grid(419.9)],
  stops: [grid(379.9), grid(420.1), grid(480), grid(231)],
  without: { 'nominal line voltage': grid(null) },
  numbers: [[grid(410), { value: 410, limit: 400 }]],
});
