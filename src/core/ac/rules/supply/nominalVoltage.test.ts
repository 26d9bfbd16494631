import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { NOMINAL_VOLTAGE } from './nominalVoltage';

const grid = (lineV: number | null, lineMinV: number | null = 320, lineMaxV: number | null = 460) =>
  acRun({ survey: { lineV }, type: { lineMinV, lineMaxV } });

edges(NOMINAL_VOLTAGE, () => ({
  // 415 V is a grid of its own; a 400 V unit takes it where its window does.
  holds: [grid(400), grid(415), grid(320), grid(460), grid(400, null, null)],
  stops: [
    grid(319.9),
    grid(460.1),
    grid(231),
    grid(480, null, 460),
    grid(300, 320, null),
    grid(421, null, null),
    grid(800, null, null),
  ],
  without: { 'nominal line voltage': grid(null), 'grid voltage window of the inverter': grid(415, null, null) },
  numbers: [[grid(410), { value: 410, limit: 400 }]],
  says: [
    [grid(415, null, null), /^Missing: grid voltage window of T100: 415 V is not its nominal 400 V$/],
    [grid(415, 320, null), /^Missing: grid voltage window/],
    [grid(415), /^grid 415 V, inverter 400 V, from 320 to 460 V$/],
  ],
}));
