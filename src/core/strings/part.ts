import { z } from 'zod';
import { DC_CABLE_MODES, DC_SECTIONS_MM2 } from '../conductor/laid';
import type { PartOf, Shape } from '../kernel/discipline';
import type { Flaw } from '../kernel/integrity';
import { dangling, repeated } from '../kernel/integrity';
import { partId, quantity } from '../kernel/schema';
import type { Base } from '../site/base';
import { lineOf } from '../site/line';
import { placeKey, placeSchema, pvStringSchema } from '../site/parts';

/** The string side of the document: strings, their cable, the designer's locks, and what a year is reckoned from. */

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
  dropMostPercent: quantity(2, 20, '%', 'Drop accepted at most').nullable().default(null),
  /** The strings for which it is accepted, and no others. */
  dropStringIds: z.array(partId).max(5000).default([]),
});

/** What the layout must leave alone or keep to. */
export const lockSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('string'),
    stringId: partId,
    built: z.boolean(),
    /** The string as it was when it was locked. Null: taken from the string at that moment. */
    kept: z
      .object({
        number: pvStringSchema.shape.number,
        planeId: partId,
        modules: pvStringSchema.shape.modules,
        place: placeSchema.nullable(),
      })
      .nullable()
      .default(null),
  }),
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
  dropMostPercent: null,
  dropStringIds: [],
};
const BLANK_ENERGY: EnergyInputs = {
  utcOffsetH: null,
  clearness: null,
  monthlyMeanC: null,
  dailyRangeK: 8,
  albedo: 0.2,
  lossPercent: 3,
};

export const stringsShape = {
  strings: z.array(pvStringSchema).max(5000).default([]),
  dcCable: dcCableSchema.default(BLANK_DC_CABLE),
  locks: z.array(lockSchema).max(6000).default([]),
  energy: energyInputsSchema.default(BLANK_ENERGY),
} as const satisfies Shape;

/** What the string side works on: the base and its own part. */
export type StringsDesign = Base & PartOf<typeof stringsShape>;

/** Repeated numbers and inputs, references to nothing, inputs that a sheet does not have. A lock may outlive what it is on: the verifier names it. */
export function stringsFlaws(d: StringsDesign): Flaw[] {
  const list = 'strings';
  return [
    ...repeated({ items: d.strings, list, field: 'id', key: (s) => s.id, what: 'String' }),
    ...repeated({ items: d.strings, list, field: 'number', key: (s) => String(s.number), what: 'String number' }),
    ...repeated({ items: d.strings, list, field: 'place', key: (s) => s.place && placeKey(s.place), what: 'Input' }),
    ...dangling({ items: d.strings, list, field: 'planeId', key: (s) => s.planeId, what: 'plane' }, d.planes),
    ...dangling(
      { items: d.strings, list, field: 'place', key: (s) => s.place?.inverterId, what: 'inverter' },
      d.inverters,
    ),
    ...offPegs(d),
  ];
}

function offPegs(d: StringsDesign): Flaw[] {
  const line = lineOf(d);
  return d.strings.flatMap((s, at): Flaw[] => {
    const type = s.place && line.unit(s.place.inverterId)?.type;
    if (!s.place || !type) return [];
    const { tracker, input } = s.place;
    return tracker <= type.trackers && input <= type.inputsPerTracker
      ? []
      : [{ path: ['strings', at, 'place'], message: `${type.name} has no tracker ${tracker} input ${input}.` }];
  });
}
