import { z } from 'zod';

/** Weather and years of energy as the API takes and gives them. */

const hourSchema = z.object({
  midMs: z.number(),
  globalWm2: z.number().min(0).max(1600),
  beamWm2: z.number().min(0).max(1400).nullable(),
  diffuseWm2: z.number().min(0).max(1000).nullable(),
  ambientC: z.number().min(-60).max(60),
});

export const weatherYearSchema = z
  .object({
    label: z.string().trim().min(1).max(120),
    latitudeDeg: z.number().min(-90).max(90).nullable(),
    longitudeDeg: z.number().min(-180).max(180).nullable(),
    utcOffsetH: z.number().min(-12).max(14),
    hours: z.array(hourSchema).min(8760).max(8784),
    coldestC: z.number(),
    notes: z.array(z.string().max(400)).max(20),
  })
  .meta({ id: 'WeatherYear' });

export const weatherRequest = z.object({ weather: weatherYearSchema.nullable() });

const unitYear = z.object({
  inverterId: z.string(),
  tag: z.string(),
  dcW: z.number(),
  ratedW: z.number(),
  dcKwh: z.number(),
  acKwh: z.number(),
  clippedKwh: z.number(),
  clippedPercent: z.number(),
  clippedHours: z.number(),
  waitingHours: z.number(),
});

export const yearResultSchema = z
  .object({
    units: z.array(unitYear).max(200),
    trackers: z
      .array(
        z.object({
          inverterId: z.string(),
          tracker: z.number(),
          strings: z.number(),
          dcKwh: z.number(),
          mismatchKwh: z.number(),
        }),
      )
      .max(5000),
    heatMapKw: z.array(z.array(z.number()).length(24)).length(12),
    monthlyKwh: z.array(z.number()).length(12),
    planes: z.array(z.object({ planeId: z.string(), label: z.string(), kwhM2: z.number() })).max(200),
    globalKwhM2: z.number(),
    dcKwh: z.number(),
    acKwh: z.number(),
    clippedPercent: z.number(),
    mismatchKwh: z.number(),
    cableKwh: z.number(),
    kwhPerKwp: z.number(),
    assumptions: z.array(z.string().max(400)).max(40),
  })
  .meta({ id: 'YearOfEnergy' });

export const yearRequest = z.object({
  revision: z.number().int().min(1),
  year: z.number().int().min(1990).max(2100),
  weather: z.string().max(80),
  result: yearResultSchema,
});

export const weatherResponse = z.object({ fingerprint: z.string().nullable() });
export const keptResponse = z.object({ kept: z.literal(true) });
export const newestYearResponse = z.object({ newest: yearRequest.nullable() });
