import { z } from 'zod';
import { partId, partName } from '../../kernel/schema';
import { MOST_INVERTERS } from '../../site/parts';
import { RATIO_LEAST_PERCENT, RATIO_MOST_PERCENT } from '../dcAcRatio';

/** A year of energy as it is shown, sent and kept. */

/** What results without a weather file are filed under. */
export const CLEAR_SKY = 'clear sky';

const kwh = z.number().min(0).max(1e9);

const unitYearSchema = z.object({
  inverterId: partId,
  tag: partName,
  dcW: z.number().min(0).max(1e9),
  ratedW: z.number().min(0).max(1e9),
  dcKwh: kwh,
  acKwh: kwh,
  clippedKwh: kwh,
  heatKwh: kwh.default(0).meta({ description: 'Not given because the unit derates in the heat' }),
  clippedPercent: z.number().min(0).max(100),
  clippedHours: z.number().min(0).max(8784),
  waitingHours: z
    .number()
    .min(0)
    .max(8784)
    .meta({ description: 'Hours with light in which no string reaches the start-up voltage' }),
});
export type UnitYear = Readonly<z.infer<typeof unitYearSchema>>;

const trackerYearSchema = z.object({
  inverterId: partId,
  tracker: z.number().int().min(1).max(60),
  strings: z.number().int().min(0).max(5000),
  dcKwh: kwh,
  limitedKwh: kwh.default(0).meta({ description: 'At most lost to the operating current a tracker takes' }),
  mismatchKwh: z
    .number()
    .min(-1000)
    .max(1e9)
    .meta({ description: 'What unlike strings on it cost against trackers of their own; 0 for like ones' }),
});

export const yearResultSchema = z
  .object({
    units: z.array(unitYearSchema).max(MOST_INVERTERS),
    trackers: z.array(trackerYearSchema).max(5000),
    heatMapKw: z
      .array(z.array(z.number().min(0).max(1e6)).length(24))
      .length(12)
      .meta({ description: 'Mean AC power of the site, kW, by month and hour of the day in standard time' }),
    monthlyKwh: z.array(kwh).length(12),
    planes: z.array(z.object({ planeId: partId, label: partName, kwhM2: kwh })).max(200),
    globalKwhM2: kwh,
    dcKwh: kwh,
    acKwh: kwh,
    clippedPercent: z.number().min(0).max(100),
    limitedKwh: kwh.default(0).meta({ description: 'At most lost to the operating current a tracker takes' }),
    heatKwh: kwh.default(0).meta({ description: 'Not given because units derate in the heat' }),
    mismatchKwh: z.number().min(-1000).max(1e9),
    cableKwh: kwh,
    kwhPerKwp: kwh,
    assumptions: z
      .array(z.string().max(400))
      .max(40)
      .meta({ description: 'What the result rests on, and what is not in it' }),
  })
  .meta({ id: 'YearOfEnergy' });
export type YearResult = Readonly<z.infer<typeof yearResultSchema>>;

/** Clipped energy that is worth a word, per cent (common practice). */
const CLIPPED_MOST_PERCENT = 3;

/** What is odd about a unit's DC/AC ratio or clipping, in words; empty where nothing is (common practice: 90 to 150 %, 3 % clipped). */
export function ratioWords(u: Pick<UnitYear, 'dcW' | 'ratedW' | 'clippedPercent'>): string {
  const percent = (100 * u.dcW) / u.ratedW;
  return [
    ...(percent < RATIO_LEAST_PERCENT ? ['larger than needed (SY02)'] : []),
    ...(percent > RATIO_MOST_PERCENT ? ['above the usual 150 % (SY03)'] : []),
    ...(u.clippedPercent > CLIPPED_MOST_PERCENT ? ['clips more than 3 % (SY04)'] : []),
  ].join('; ');
}
