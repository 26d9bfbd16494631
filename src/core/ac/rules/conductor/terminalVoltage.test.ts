import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { TERMINAL_VOLTAGE } from './terminalVoltage';

/** A run so short that board and unit read the same: 440 V is the trip level of 400 V (EN 50549-1, recalled), 2 % under it 431.2 V. */
const board = (boardHighestV: number | null, over: object = {}) =>
  acRun({ run: { lengthM: 0.5 }, survey: { boardHighestV, ...over } });

edges(TERMINAL_VOLTAGE, {
  holds: [board(431.1), board(400)],
  tight: [board(431.3), board(439.9)],
  stops: [board(440.1)],
  without: {
    'highest line voltage at the board while feeding': board(null),
    'grid code with a ten-minute limit': board(420, { gridCode: 'IEEE 1547 enter service' }),
    'impedance of the run': acRun({ run: { sectionMm2: null } }),
  },
  numbers: [[board(431), { limit: 440 }]],
});
