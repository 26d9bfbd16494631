import type { MeterReading } from '../proving/readings/meterReading';

/** A meter that sees 51 kW come on, with what a test wants changed. */
export const reading = (over: Partial<MeterReading> = {}): MeterReading => ({
  beforeKw: -38.2,
  afterKw: 11.9,
  unitKw: 51,
  ratedKw: 100,
  changeKw: [17.1, 17, 16.9],
  transformers: true,
  plateRatio: 50,
  shownRatio: 50,
  ...over,
});
