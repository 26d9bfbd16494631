import { z } from 'zod';
import { partId, partName, quantity } from '../kernel/schema';
import { BLANK_BODY, inverterBodySchema } from './inverterBody';

const WIRINGS = ['5-wire', '4-wire with neutral jumper', '3-wire plus PE'] as const;

/** The AC bay: what a lug, a gland and a bend have to live with. Null where the data sheet is silent. */
const acBaySchema = z.object({
  studM: z
    .union([z.literal(6), z.literal(8), z.literal(10), z.literal(12), z.literal(16)])
    .meta({ unit: 'M', description: 'Thread of the AC studs' }),
  studSpacingMm: quantity(10, 200, 'mm', 'Distance between stud axes').nullable(),
  palmMaxWidthMm: quantity(5, 100, 'mm', 'Widest lug palm').nullable(),
  palmMaxThicknessMm: quantity(1, 40, 'mm', 'Thickest lug palm').nullable(),
  sectionMaxMm2: quantity(4, 630, 'mm²', 'Largest conductor').nullable(),
  lugsPerStud: quantity(1, 2, 'lugs', 'Lugs allowed on one stud').int(),
  aluminiumAllowed: z.boolean().nullable().meta({ description: 'Aluminium conductors allowed' }),
  glands: quantity(1, 12, 'glands', 'Glands for AC cables').int().nullable().default(null),
  glandClampMinMm: quantity(3, 120, 'mm', 'Smallest cable the gland clamps').nullable(),
  glandClampMaxMm: quantity(3, 120, 'mm', 'Largest cable the gland clamps').nullable(),
  glandSealSplitMm: quantity(3, 120, 'mm', 'Inner seal comes out from this cable diameter up').nullable(),
  studLengthMm: quantity(5, 120, 'mm', 'Free length of the AC studs').nullable().default(null),
  freeHeightMm: quantity(30, 1500, 'mm', 'From the gland plate up to the AC studs').nullable().default(null),
  entryOffsetMm: quantity(0, 1000, 'mm', 'Gland to the farthest stud, sideways').nullable().default(null),
  torqueMinNm: quantity(0.5, 200, 'N·m', 'AC stud torque, lower end').nullable(),
  torqueMaxNm: quantity(0.5, 200, 'N·m', 'AC stud torque, upper end').nullable(),
});

const busMark = (description: string) =>
  z.string().trim().min(1).max(12).nullable().default(null).meta({ description });

/** The fields of a three-phase string inverter's data sheet, one by one. Null where the sheet does not say. */
export const inverterSheetSchema = z.object({
  id: partId,
  name: partName,
  ratedW: quantity(1000, 1e6, 'W', 'Rated active power'),
  maxApparentVa: quantity(1000, 1e6, 'VA', 'Maximum apparent power'),
  nominalLineV: quantity(200, 1000, 'V', 'Nominal line voltage'),
  lineMinV: quantity(100, 1000, 'V', 'Lower end of the grid voltage window').nullable().default(null),
  lineMaxV: quantity(200, 1200, 'V', 'Upper end of the grid voltage window').nullable().default(null),
  outputMaxA: quantity(1, 2000, 'A', 'Maximum output current').nullable(),
  wiring: z.enum(WIRINGS).meta({ description: 'Conductors at the AC terminals' }),
  breakerMaxA: quantity(1, 4000, 'A', 'Largest upstream breaker').nullable(),
  dcMaxV: quantity(200, 1600, 'V', 'Maximum input voltage'),
  mpptMinV: quantity(50, 1500, 'V', 'Lower end of the tracking range'),
  mpptMaxV: quantity(100, 1600, 'V', 'Upper end of the tracking range'),
  fullPowerMinV: quantity(50, 1500, 'V', 'Lower end of the full-power range').nullable(),
  fullPowerMaxV: quantity(100, 1600, 'V', 'Upper end of the full-power range').nullable(),
  startV: quantity(50, 1000, 'V', 'Start-up voltage').nullable(),
  dcMaxW: quantity(1000, 2e6, 'W', 'Maximum DC power').nullable(),
  trackers: quantity(1, 24, 'trackers', 'MPP trackers').int(),
  inputsPerTracker: quantity(1, 24, 'inputs', 'Inputs a tracker').int(),
  trackerOperatingMaxA: quantity(5, 200, 'A', 'Maximum operating current a tracker'),
  trackerShortCircuitMaxA: quantity(5, 300, 'A', 'Maximum short-circuit current a tracker'),
  shortCircuitLimitIsStc: z
    .boolean()
    .meta({ description: 'The maker states that the short-circuit limit is for standard test conditions' }),
  connectorMaxA: quantity(10, 100, 'A', 'Rating of one DC connector').nullable(),
  connectorMaxV: quantity(200, 2000, 'V', 'Voltage rating of connectors and combiners').nullable().default(null),
  altitudeMaxM: quantity(500, 6000, 'm', 'Highest altitude of the site').nullable().default(null),
  massKg: quantity(5, 400, 'kg', 'Mass').nullable(),
  residualTypeA: z
    .boolean()
    .nullable()
    .default(null)
    .meta({ description: 'Type A is enough as residual-current device, in writing' }),
  dcOpensFirst: z
    .boolean()
    .nullable()
    .default(null)
    .meta({ description: 'DC switches may be opened first, under the full current' }),
  dischargeWaitS: quantity(60, 3600, 's', 'Waiting time printed on the label').nullable(),
  busUnitLoads: quantity(0.03125, 4, 'unit loads', 'RS-485 unit loads').nullable(),
  /** What stands beside the bus terminals: letters are no help, makers use A and B either way round. */
  busD1: busMark('Mark of the bus terminal that is positive at rest (D1)'),
  busD0: busMark('Mark of the other bus terminal (D0)'),
  bay: acBaySchema,
  body: inverterBodySchema.default(BLANK_BODY),
});

/** The sheet with the rules that tie its fields together. */
export const inverterTypeSchema = inverterSheetSchema
  .refine((t) => t.mpptMinV < t.mpptMaxV, {
    path: ['mpptMaxV'],
    message: 'The tracking range is upside down: the upper end must be above the lower.',
  })
  .refine((t) => t.mpptMaxV <= t.dcMaxV, {
    path: ['mpptMaxV'],
    message: 'The tracking range cannot end above the maximum input voltage.',
  })
  .refine((t) => t.fullPowerMinV === null || t.fullPowerMaxV === null || t.fullPowerMinV < t.fullPowerMaxV, {
    path: ['fullPowerMaxV'],
    message: 'The full-power range is upside down.',
  })
  .refine((t) => t.trackerOperatingMaxA <= t.trackerShortCircuitMaxA, {
    path: ['trackerShortCircuitMaxA'],
    message: 'The short-circuit limit must be at least the operating limit.',
  })
  .meta({ id: 'InverterType' });

export type InverterType = z.infer<typeof inverterTypeSchema>;
export type AcBay = z.infer<typeof acBaySchema>;
