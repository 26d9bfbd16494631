import { z } from 'zod';
import { enumOf, quantity } from '../kernel/schema';

/** Instruments as the record needs them: what they measure, how far, how well, and until when that is vouched for. */

export const INSTRUMENT_KINDS = [
  'PV tester',
  'insulation tester',
  'earth tester',
  'multimeter',
  'torque tool',
  'residual-current tester',
  'clamp meter',
  'thermal camera',
  'light meter',
  'stopwatch',
  'micro-ohmmeter',
] as const;
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number];

/** What an instrument reads, in the units of the record. */
export const MEASURED = {
  'DC voltage': 'V',
  'AC voltage': 'V',
  current: 'A',
  irradiance: 'W/m²',
  temperature: '°C',
  insulation: 'MΩ',
  'test voltage': 'V',
  resistance: 'Ω',
  torque: 'N·m',
  frequency: 'Hz',
  'trip time': 'ms',
  power: 'kW',
  time: 's',
} as const;
export type Measured = keyof typeof MEASURED;

/** What each kind reads: the ranges that are asked of it. */
export const READS: Readonly<Record<InstrumentKind, readonly Measured[]>> = {
  'PV tester': ['DC voltage', 'current', 'irradiance'],
  'insulation tester': ['insulation', 'test voltage'],
  'earth tester': ['resistance'],
  multimeter: ['AC voltage', 'DC voltage', 'frequency'],
  'torque tool': ['torque'],
  'residual-current tester': ['trip time'],
  'clamp meter': ['current'],
  'thermal camera': ['temperature'],
  'light meter': ['irradiance'],
  stopwatch: ['time'],
  'micro-ohmmeter': ['resistance'],
};

const rangeSchema = z.object({
  of: enumOf(Object.keys(MEASURED) as Measured[]),
  min: z.number(),
  max: z.number(),
  /** ± per cent of the reading and ± digits of the last place: null where the sheet does not say. */
  accuracyPercent: quantity(0, 50, '%', 'Accuracy, share of the reading').nullable().default(null),
  digits: quantity(0, 100, 'digits', 'Accuracy, last places').nullable().default(null),
  resolution: quantity(0, 100, '', 'Resolution').nullable().default(null),
});

export const instrumentSchema = z
  .object({
    kind: enumOf(INSTRUMENT_KINDS),
    name: z.string().trim().min(1, 'Name the instrument.').max(60),
    serial: z.string().trim().min(1, 'Enter its serial number.').max(60),
    calibratedUntil: z.iso.date('Enter the calibration date as YYYY-MM-DD.'),
    /** Empty: nobody has said, and nothing is refused by range. */
    ranges: z.array(rangeSchema).max(20).default([]),
  })
  .meta({ id: 'Instrument' });
export type Instrument = z.infer<typeof instrumentSchema>;
export type InstrumentRange = Instrument['ranges'][number];

/** The range an instrument has for a quantity, or undefined. */
export const rangeOf = (instrument: Instrument, of: Measured): InstrumentRange | undefined =>
  instrument.ranges.find((r) => r.of === of);

/** Uncertainty of a reading x: U = pct/100·|x| + digits·resolution, in its unit. Null while the sheet does not say. */
export function uncertaintyOf(range: InstrumentRange | undefined, value: number): number | null {
  if (!range || range.accuracyPercent === null) return null;
  return (range.accuracyPercent / 100) * Math.abs(value) + (range.digits ?? 0) * (range.resolution ?? 0);
}
