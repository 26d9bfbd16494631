import { edges } from '../../../testing/edges';
import { CALIBRATION } from './calibration';

const used = (day: string) => ({
  instrument: { name: 'Meter', serial: 'M-1', calibratedUntil: '2026-05-04' },
  day,
});

edges(CALIBRATION, () => ({
  holds: [used('2026-05-03'), used('2026-05-04')],
  tight: [used('2026-05-05')],
  without: {},
}));
