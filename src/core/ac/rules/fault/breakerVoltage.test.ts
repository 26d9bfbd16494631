import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { BREAKER_VOLTAGE } from './breakerVoltage';

const on = (lineV: number | null, breakerUeV: number | null) => acRun({ run: { breakerUeV }, survey: { lineV } });

edges(BREAKER_VOLTAGE, () => ({
  holds: [on(400, 400), on(690, 690), on(480, 690)],
  // Gear for 690 V does not cover 800 V.
  stops: [on(800, 690), on(401, 400)],
  without: { 'rated voltage of the breaker': on(400, null), 'nominal line voltage': on(null, 690) },
  numbers: [[on(400, 690), { value: 400, limit: 690 }]],
  says: [[on(800, 690), /^800 V on a breaker for 690 V$/]],
}));
