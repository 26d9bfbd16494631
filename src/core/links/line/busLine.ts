import { z } from 'zod';
import { quantity } from '../../kernel/schema';

const TERMINATOR_KINDS = ['resistor', 'resistor and capacitor'] as const;

/** What the pair of a bus is made of and what hangs on it besides the units. Null: nobody said yet. */
export const busLineSchema = z.object({
  areaMm2: quantity(0.05, 6, 'mm²', 'Section of a bus conductor').nullable(),
  conductorC: quantity(-40, 120, '°C', 'Hottest bus conductor').nullable(),
  impedanceOhm: quantity(50, 200, 'Ω', 'Wave impedance of the pair').nullable(),
  delayNsPerM: quantity(3.3, 10, 'ns/m', 'Delay of the pair').nullable(),
  terminatorOhm: quantity(30, 1000, 'Ω', 'Each terminator').nullable(),
  /** With a capacitor in series it is no load while nothing changes. */
  terminatorKind: z.enum(TERMINATOR_KINDS).default('resistor').meta({ description: 'Terminators are' }),
  terminatorNf: quantity(0.01, 10_000, 'nF', 'Capacitor of each terminator').nullable().default(null),
  biasAt: z.enum(['nowhere', 'first device']).nullable().meta({ description: 'Where the pair is biased' }),
  pullUpOhm: quantity(50, 100_000, 'Ω', 'Pull-up to D1').nullable(),
  pullDownOhm: quantity(50, 100_000, 'Ω', 'Pull-down to D0').nullable(),
  biasV: quantity(1, 24, 'V', 'Supply of the bias').nullable(),
  failSafe: z.boolean().nullable().meta({ description: 'All receivers read an idle pair as mark' }),
  separationBy: z
    .enum(['200 mm', 'EN 50174-2', 'NFPA 70, 725.136'])
    .nullable()
    .meta({ description: 'Distance from power cables judged by' }),
  separationMm: quantity(0, 10_000, 'mm', 'Distance from power cables in parallel').nullable(),
  barrier: z
    .enum(['none', 'open metallic', 'perforated metallic', 'solid metallic'])
    .nullable()
    .meta({ description: 'Barrier between bus and power' }),
  cableClass: z.enum(['a', 'b', 'c', 'd']).nullable().meta({ description: 'Separation class of the bus cable' }),
  powerCircuits: z
    .number({ error: 'Enter a number.' })
    .int('Whole circuits.')
    .min(1, 'At least one circuit.')
    .max(1000)
    .nullable()
    .meta({ description: 'Power circuits beside it, as 230 V 20 A ones' }),
});
export type BusLine = z.infer<typeof busLineSchema>;

/** A line of which nothing is known. */
export const UNKNOWN_LINE: BusLine = {
  areaMm2: null,
  conductorC: null,
  impedanceOhm: null,
  delayNsPerM: null,
  terminatorOhm: null,
  terminatorKind: 'resistor',
  terminatorNf: null,
  biasAt: null,
  pullUpOhm: null,
  pullDownOhm: null,
  biasV: null,
  failSafe: null,
  separationBy: null,
  separationMm: null,
  barrier: null,
  cableClass: null,
  powerCircuits: null,
};

/** Whether the terminators of a pair block direct current. */
export const blocksDirect = ({ terminatorKind }: BusLine): boolean => terminatorKind === 'resistor and capacitor';

/** What one terminator carries while nothing changes, S; null while nobody said. */
export const terminatorS = (line: BusLine): number | null =>
  blocksDirect(line) ? 0 : line.terminatorOhm === null ? null : 1 / line.terminatorOhm;
