import { z } from 'zod';

/** A photo as the API takes it. */
export const photoRequest = z.object({
  base64: z
    .base64('Send the bytes of a PNG or JPEG file in base64.')
    .min(1)
    .max(3_000_000, 'At most 2 MB are taken: save it smaller.')
    .meta({ description: 'A PNG or JPEG file' }),
});
export type PhotoRequest = z.infer<typeof photoRequest>;

/** SHA-256 of what is kept: the record refers to it by that. */
export const photoKeptSchema = z.object({ id: z.string().length(64) });
