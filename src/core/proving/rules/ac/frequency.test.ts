import { lacking } from '../../../kernel/answer';
import { gridWindow } from '../../../site/gridCodes';
import { acReading } from '../../../testing/acReadings';
import { edges } from '../../../testing/edges';
import { FREQUENCY } from './frequency';

const hz = (frequencyHz: number, nominalHz: number | null = 50) => acReading({ frequencyHz, nominalHz });
/** A code that names no frequency: only the survey's own counts, within 1 Hz. */
const unnamed = (frequencyHz: number, nominalHz: number | null) =>
  acReading({ frequencyHz, nominalHz, window: gridWindow({ gridCode: 'generic 90', lineV: 400 }) });

edges(FREQUENCY, () => ({
  holds: [hz(49.5), hz(50.1), hz(50, null), unnamed(50.9, 50), unnamed(63, null)],
  stops: [hz(49.49), hz(50.11), hz(50, 60), unnamed(51, 50), unnamed(49, 50)],
  without: { 'grid code': acReading({ window: lacking('grid code') }) },
  numbers: [[hz(49.9), { value: 49.9 }]],
  says: [[hz(49.9), /^49\.9 Hz in 49\.5 to 50\.1 Hz$/]],
}));
