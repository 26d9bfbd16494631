import { z } from 'zod';
import { checkSchema, verdictSchema } from '$core/kernel/check';
import { recordSchema } from '$core/proving/record';

/** An entry taken, with what it says. */
export const recordedSchema = z.object({
  record: recordSchema,
  verdict: verdictSchema,
  checks: z.array(checkSchema).readonly(),
  known: z.boolean().meta({ description: 'This very entry was on record before: sending twice does not double it' }),
});
