import { z } from 'zod';

/** What stands behind the plan to trace over, as the API takes it: a picture, or the lines of a drawing in metres. */

const metres = z.number().min(-1e6).max(1e6);
/** x and y in turn, from the lower left corner. */
const polyline = z
  .array(metres)
  .min(4)
  .max(20_000)
  .refine((line) => line.length % 2 === 0, 'A line is x and y in turn: an even number of figures.');

export const backdropRequest = z.discriminatedUnion('as', [
  z.object({
    as: z.literal('picture'),
    base64: z
      .base64('Send the bytes of a PNG or JPEG file in base64.')
      .min(1)
      .max(4_800_000)
      .meta({ description: 'A PNG or JPEG file' }),
  }),
  z.object({
    as: z.literal('drawing'),
    widthM: z.number().min(1).max(20_000),
    heightM: z.number().min(1).max(20_000),
    lines: z.array(polyline).min(1).max(20_000),
  }),
]);
export type BackdropRequest = z.infer<typeof backdropRequest>;

/** SHA-256 of what is kept: the plan refers to it by that. */
export const backdropKeptSchema = z.object({ id: z.string().length(64) });
