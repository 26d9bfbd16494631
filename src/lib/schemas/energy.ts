import { z } from 'zod';
import { yearResultSchema } from '$core/strings/year/yearResult';
import { weatherYearSchema } from '$core/weather/weatherYear';
import { revision } from './site';

/** Weather and years of energy as the API takes and gives them. */

export const weatherRequest = z.object({ weather: weatherYearSchema.nullable() });
export const weatherKeptSchema = z.object({ fingerprint: z.string().nullable() });

export const yearRequest = z.object({
  revision,
  year: z.number().int().min(1990).max(2100),
  weather: z.string().max(80),
  result: yearResultSchema,
});
export const keptSchema = z.object({ kept: z.literal(true) });
export const newestYearSchema = z.object({ newest: yearRequest.nullable() });
