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
  'residual current': 'mA',
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
  'residual-current tester': ['trip time', 'residual current'],
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

/** A range as somebody types it; what is empty is not known. */
export type TypedRange = { readonly [K in Exclude<keyof InstrumentRange, 'of'>]: number | null };
export const BLANK_RANGE: TypedRange = { min: null, max: null, accuracyPercent: null, digits: null, resolution: null };

/**
 * The ranges of an instrument as they were typed, with what one of them lacks, in words: a figure that would say nothing alone is asked for its
 * other half, never dropped. A quantity of which nothing is typed has no range, and nothing is refused by it.
 */
export function typedRanges(typed: Readonly<Partial<Record<Measured, TypedRange>>>): {
  readonly ranges: readonly InstrumentRange[];
  readonly lacks: string | null;
} {
  const ranges: InstrumentRange[] = [];
  for (const [of, t] of Object.entries(typed) as [Measured, TypedRange][]) {
    if (Object.values(t).every((v) => v === null)) continue;
    const lacks = lackOf(of, t);
    if (lacks || t.max === null) return { ranges, lacks };
    ranges.push({ ...t, of, min: t.min ?? 0, max: t.max });
  }
  return { ranges, lacks: null };
}

function lackOf(of: Measured, { min, max, accuracyPercent, digits, resolution }: TypedRange): string | null {
  const about = `${of[0]?.toUpperCase()}${of.slice(1)}`;
  if (max === null) return `${about}: say up to what it reads, in ${MEASURED[of]}.`;
  if ((min ?? 0) >= max) return `${about}: it reads from less than it reads up to; ${min ?? 0} to ${max} is no range.`;
  if (digits !== null && accuracyPercent === null)
    return `${about}: say the share of the reading as well, 0 % where its sheet names digits alone.`;
  if (digits !== null && resolution === null)
    return `${about}: say what one digit of its last place is worth, in ${MEASURED[of]}.`;
  return null;
}

/** A range as lists say it: “trip time 0 to 2000 ms ± (2 % + 3 × 1 ms)”. */
export function rangeText({ of, min, max, accuracyPercent, digits, resolution }: InstrumentRange): string {
  const range = `${of} ${min} to ${max} ${MEASURED[of]}`;
  if (accuracyPercent === null) return range;
  const last = digits && resolution !== null ? ` + ${digits} × ${resolution} ${MEASURED[of]}` : '';
  return `${range} ± ${last ? `(${accuracyPercent} %${last})` : `${accuracyPercent} %`}`;
}
