import { z } from 'zod';
import { SCHOOL_NAMES } from '../conductor/school';
import { isTimeZone } from '../kernel/siteDay';
import { partName, quantity } from '../kernel/schema';
import { GRID_CODE_FAMILIES } from './gridCodes';

export const SERVICES = [
  'earthed wye with neutral (TN-S, TN-C-S)',
  'earthed wye, TT',
  'earthed wye, neutral not brought out',
  'IT wye, shared',
  'IT wye, dedicated transformer',
  'delta ungrounded, shared',
  'delta ungrounded, dedicated transformer',
  'corner-grounded delta',
  'high-leg delta',
] as const;
export const BUILDINGS = ['one- or two-family dwelling', 'other building', 'not on a building'] as const;
/** What is asked about design temperatures that look like a slip. */
export const QUESTIONS = [
  'cold-not-below-hot',
  'warm-for-the-latitude',
  'cold-for-the-latitude',
  'cool-summer',
  'hot-summer',
] as const;
export const COLD_METHODS = ['coefficient', 'table', 'engineered'] as const;

/** What the survey finds out. Null means: nobody has said yet. */
export const surveySchema = z.object({
  name: partName,
  place: z.string().trim().max(120),
  latitudeDeg: quantity(-90, 90, '°', 'Latitude, north positive').nullable(),
  longitudeDeg: quantity(-180, 180, '°', 'Longitude, east positive').nullable(),
  /** Days of the record end at its midnight. */
  timeZone: z
    .string()
    .refine(isTimeZone, 'Name a time zone as Europe/Oslo.')
    .nullable()
    .default(null)
    .meta({ description: 'Time zone' }),
  altitudeM: quantity(-400, 6000, 'm', 'Altitude').nullable(),
  coldestC: quantity(-60, 35, '°C', 'Lowest expected ambient at dawn').nullable(),
  hottestC: quantity(0, 60, '°C', 'Hot design ambient').nullable(),
  dcLegalMaxV: quantity(60, 1500, 'V', 'Legal DC limit at this place').nullable(),
  school: z.enum(SCHOOL_NAMES).meta({ description: 'School of rules' }),
  building: z.enum(BUILDINGS).nullable().default(null).meta({ description: 'On a building' }),
  coldMethod: z.enum(COLD_METHODS).default('coefficient').meta({ description: 'Cold voltage by' }),
  engineeredDocument: z
    .string()
    .trim()
    .max(120)
    .default('')
    .meta({ description: 'Stamped document of the engineered cold voltage' }),
  countUocTolerance: z
    .boolean()
    .default(false)
    .meta({ description: 'Count the tolerance of U_oc into the cold voltage' }),
  /** Answers to what was asked about entries that look wrong: each for the very values it was given for. */
  confirmed: z
    .array(z.object({ question: z.enum(QUESTIONS), of: z.string().max(120) }))
    .max(50)
    .default([]),
  lineV: quantity(200, 1000, 'V', 'Nominal line voltage').nullable(),
  frequencyHz: z
    .union([z.literal(50), z.literal(60)])
    .nullable()
    .meta({ unit: 'Hz', description: 'Frequency' }),
  service: z.enum(SERVICES).nullable().meta({ description: 'Supply and its earthing' }),
  transformerKva: quantity(10, 10000, 'kVA', 'Transformer rating').nullable(),
  transformerImpedancePercent: quantity(0.5, 20, '%', 'Transformer impedance').nullable(),
  transformerLossKw: quantity(0, 200, 'kW', 'Load losses of the transformer').nullable().default(null),
  upstreamMva: quantity(1, 100_000, 'MVA', 'Short-circuit power of the network').nullable().default(null),
  upstreamXr: quantity(0.2, 50, '', 'Reactance over resistance of the network').nullable().default(null),
  electrodeOhm: quantity(0.01, 10_000, 'Ω', 'Resistance of the earth electrode of the site').nullable().default(null),
  restLineV: quantity(200, 1100, 'V', 'Board voltage with nothing feeding, line to line').nullable().default(null),
  boardHighestV: quantity(200, 1100, 'V', 'Highest board voltage while feeding, line to line').nullable(),
  gridCode: z.enum(GRID_CODE_FAMILIES).nullable().meta({ description: 'Grid code' }),
  /** Null keeps the gates of these devices in the way until somebody has looked. */
  rcdFitted: z.boolean().nullable().meta({ description: 'Residual-current devices fitted' }),
  stopFitted: z.boolean().nullable().meta({ description: 'Emergency stop fitted' }),
  contactsFitted: z.boolean().nullable().meta({ description: 'Dry contacts wired' }),
});
export type Survey = z.infer<typeof surveySchema>;

/** A survey that has found out nothing but the name. */
export function blankSurvey(name: string): Survey {
  return {
    name,
    place: '',
    latitudeDeg: null,
    longitudeDeg: null,
    timeZone: null,
    altitudeM: null,
    coldestC: null,
    hottestC: null,
    dcLegalMaxV: null,
    school: 'IEC',
    building: null,
    coldMethod: 'coefficient',
    engineeredDocument: '',
    countUocTolerance: false,
    confirmed: [],
    lineV: null,
    frequencyHz: null,
    service: null,
    transformerKva: null,
    transformerImpedancePercent: null,
    transformerLossKw: null,
    upstreamMva: null,
    upstreamXr: null,
    electrodeOhm: null,
    restLineV: null,
    boardHighestV: null,
    gridCode: null,
    rcdFitted: null,
    stopFitted: null,
    contactsFitted: null,
  };
}
