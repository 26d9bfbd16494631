import { z } from 'zod';
import { quantity } from '$core/kernel/schema';

/** Remainders as people write them down: 42, 17.5, 12. */
export const remaindersIn = (text: string): number[] =>
  text
    .split(/[;,\s]+/)
    .filter((t) => t !== '')
    .map(Number);

const MOST = 50;

/** What drums are asked with. */
export const drumsSchema = z.object({
  drumM: quantity(1, 10_000, 'm', 'Length of a new drum'),
  remainders: z
    .string()
    .trim()
    .max(400)
    .refine((t) => remaindersIn(t).every((m) => m > 0 && m <= 10_000) && remaindersIn(t).length <= MOST, {
      message: `Write lengths in metres, as 42 17.5 12, at most ${MOST}.`,
    })
    .meta({ description: 'Remainders in store, m' }),
});
