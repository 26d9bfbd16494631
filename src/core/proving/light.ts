import { z } from 'zod';
import { quantity } from '../kernel/schema';

/** The light a string is measured in, and when it was read: one reading may serve a run of strings measured within minutes of it. */
export const lightShape = {
  cellC: quantity(-40, 110, '°C', 'Cell temperature'),
  irradianceWm2: quantity(100, 1600, 'W/m²', 'Irradiance in the plane; under 100 it is too dark to judge'),
  /** When the light was read, by the same device; null: with the string. */
  lightAt: z.iso.datetime({ offset: true }).nullable().default(null),
} as const;

/** How long a reading of the light stands for the strings after it, ms (common practice). */
export const LIGHT_STANDS_MS = 10 * 60_000;
/** Whether a light that was read so long ago, ms, still stands: one read after its string does not. */
export const lightStands = (ageMs: number): boolean => ageMs >= 0 && ageMs <= LIGHT_STANDS_MS;
