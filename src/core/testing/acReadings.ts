import type { AcReading } from '../proving/readings/acReading';
import { gridWindow } from '../site/gridCodes';
import { SURVEY } from './examples';

/** Healthy voltages at 400 V, 50 Hz, with what a test wants changed. */
export const acReading = (over: Partial<AcReading> = {}): AcReading => ({
  lineV: [400, 400, 400],
  phaseV: [231, 231, 231],
  frequencyHz: 50,
  rotation: 'L1-L2-L3',
  window: gridWindow(SURVEY),
  nominalHz: 50,
  ...over,
});
