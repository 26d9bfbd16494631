import { edges } from '../../../testing/edges';
import { mountedReading } from '../../../testing/mountedReadings';
import { ATTITUDE } from './attitude';

const leans = (backDeg: number, rollDeg = 0, flatAllowed: boolean | null = null) =>
  mountedReading({ backDeg, rollDeg, body: { flatAllowed } });

// Half a degree forward, two to the side, 15 back, flat from 70 where the sheet allows it (common practice).
edges(ATTITUDE, () => ({
  holds: [leans(0), leans(-0.5), leans(15), leans(0, 2), leans(0, -2), leans(70, 0, true), leans(90, 0, true)],
  stops: [leans(-0.6), leans(15.1), leans(0, 2.1), leans(0, -2.1), leans(69.9, 0, true), leans(70, 0, false)],
  without: { 'whether the unit may hang flat on its back': leans(70) },
  numbers: [
    [leans(1, -2), { value: 2 }],
    [leans(-0.4, 0.2), { value: 0.4 }],
  ],
  says: [[leans(1, 0.5), /^1° back, 0.5° to the side$/]],
}));
