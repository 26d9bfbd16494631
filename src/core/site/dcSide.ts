import { z } from 'zod';
import { partId, quantity } from '../kernel/schema';

/** What the string side needs to know beyond the strings themselves: cable, fuses, the designer's locks. */

export const BUILDINGS = ['one- or two-family dwelling', 'other building', 'not on a building'] as const;
export const COLD_METHODS = ['coefficient', 'table', 'engineered'] as const;
export const DC_SECTIONS_MM2 = [2.5, 4, 6, 10, 16] as const;
export const DC_CABLE_MODES = ['single free in air', 'single on a surface', 'two adjacent on a surface'] as const;

/** One DC cable for all home runs of the site. Null means nobody has said yet. */
export const dcCableSchema = z.object({
  sectionMm2: z
    .union(DC_SECTIONS_MM2.map((s) => z.literal(s)))
    .nullable()
    .meta({ unit: 'mm²', description: 'Section of the DC cable' }),
  mode: z.enum(DC_CABLE_MODES).nullable().meta({ description: 'How the DC cable lies' }),
  ambientC: quantity(-25, 119, '°C', 'Hottest ambient at the DC cable').nullable(),
  circuitsTogether: quantity(1, 20, 'circuits', 'DC circuits in one bundle').int().nullable(),
  conductorC: quantity(20, 120, '°C', 'Conductor temperature for the drop'),
  fuseA: quantity(1, 63, 'A', 'String fuse, empty where none is fitted').nullable(),
  dropReason: z.string().trim().max(200).meta({ description: 'Why a drop above 2 % is accepted' }),
});

/** What the layout must leave alone or keep to. */
export const lockSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('string'), stringId: partId, built: z.boolean() }),
  z.object({ kind: z.literal('plane-length'), planeId: partId, modules: quantity(1, 60, 'modules', 'Length').int() }),
  z.object({ kind: z.literal('plane-inverter'), planeId: partId, inverterId: partId }),
  z.object({ kind: z.literal('inverter-empty'), inverterId: partId }),
  z.object({
    kind: z.literal('free-trackers'),
    inverterId: partId,
    count: quantity(1, 24, 'trackers', 'Trackers kept free').int(),
  }),
  z.object({ kind: z.literal('no-doubling') }),
  z.object({ kind: z.literal('max-lengths'), count: quantity(1, 40, 'lengths', 'Distinct lengths at most').int() }),
  z.object({
    kind: z.literal('ratio'),
    minPercent: quantity(0, 300, '%', 'Least DC/AC ratio').nullable(),
    maxPercent: quantity(1, 300, '%', 'Most DC/AC ratio').nullable(),
  }),
  z.object({ kind: z.literal('use-all') }),
]);

const monthly = (min: number, max: number, unit: string, description: string) =>
  z
    .array(quantity(min, max, unit, description))
    .length(12, 'Give twelve values, January first.')
    .nullable();

/** What a year of energy is reckoned from. Null: the stated default, and the result says that it rests on one. */
export const energyInputsSchema = z.object({
  utcOffsetH: quantity(-12, 14, 'h', 'Standard time against UTC').nullable(),
  clearness: monthly(0, 1, '', 'Monthly clearness'),
  monthlyMeanC: monthly(-50, 45, '°C', 'Monthly mean temperature'),
  dailyRangeK: quantity(0, 30, 'K', 'Daily range of temperature'),
  albedo: quantity(0, 0.95, '', 'Light that the ground throws back'),
  lossPercent: quantity(0, 30, '%', 'Losses besides cable and mismatch'),
});

export type DcCable = z.infer<typeof dcCableSchema>;
export type Lock = z.infer<typeof lockSchema>;
export type EnergyInputs = z.infer<typeof energyInputsSchema>;

export const BLANK_DC_CABLE: DcCable = {
  sectionMm2: null,
  mode: null,
  ambientC: null,
  circuitsTogether: null,
  conductorC: 60,
  fuseA: null,
  dropReason: '',
};
export const BLANK_ENERGY: EnergyInputs = {
  utcOffsetH: null,
  clearness: null,
  monthlyMeanC: null,
  dailyRangeK: 8,
  albedo: 0.2,
  lossPercent: 3,
};
