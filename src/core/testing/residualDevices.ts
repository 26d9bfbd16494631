import type { ResidualReading } from '../proving/readings/residualReading';

/** A device that trips as it should beside a unit of 110 kVA, with what a test wants changed. */
export const device = (over: Partial<ResidualReading> = {}): ResidualReading => ({
  type: 'B',
  ratedMa: 1100,
  delayed: false,
  atRatedMs: 300,
  tripsAtHalf: false,
  rampMa: 550,
  smoothRamp: false,
  apparentKva: 110,
  typeAAllowed: null,
  ...over,
});
