import { acReading } from '../../../testing/acReadings';
import { edges } from '../../../testing/edges';
import { UNIT_WINDOW } from './window';

const at = (lineV: [number, number, number], unitMinV: number | null = 320, unitMaxV: number | null = 460) => ({
  ...acReading({ lineV }),
  unitName: 'T100',
  unitMinV,
  unitMaxV,
});

edges(UNIT_WINDOW, () => ({
  holds: [at([400, 400, 400]), at([320, 400, 400]), at([400, 460, 400])],
  stops: [at([319.9, 400, 400]), at([400, 400, 460.1])],
  without: {
    'lower end of the unit’s grid window': at([400, 400, 400], null),
    'upper end of the unit’s grid window': at([400, 400, 400], 320, null),
  },
  numbers: [
    [at([402, 437, 400]), { value: 437, limit: 460, margin: (100 * 23) / 460 }],
    [at([366, 400, 400]), { value: 366, limit: 320, margin: (100 * 46) / 460 }],
  ],
  says: [[at([400, 401, 402]), /400.0 \/ 401.0 \/ 402.0 V; T100 takes 320 to 460 V/]],
}));
