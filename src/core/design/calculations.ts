import { z } from 'zod';
import { LINE_ELEMENTS, checkSchema, verdictSchema } from '../kernel/check';
import { calculation } from '../kernel/discipline';
import { siteDesignSchema } from '.';
import { assessSite } from './assess';

export const assessmentSchema = z.object({
  checks: z.array(checkSchema).readonly(),
  line: z
    .array(
      z.object({
        element: z.enum(LINE_ELEMENTS),
        verdict: verdictSchema,
        checks: z.number(),
        smallest: checkSchema.nullable(),
      }),
    )
    .readonly(),
  counts: z.record(verdictSchema, z.number()).readonly(),
});

/** What the whole line computes without a stored site. */
export const calculations = {
  assessment: calculation({
    summary: 'Every check of a whole design',
    input: z.object({ design: siteDesignSchema }),
    output: assessmentSchema,
    run: ({ design }) => assessSite(design),
  }),
};
