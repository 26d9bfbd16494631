import { z } from 'zod';
import { siteDesignSchema } from '$core/design';
import { checkSchema, verdictSchema } from '$core/kernel/check';
import { uuid } from '$core/kernel/schema';
import type { SiteLog } from '$core/proving/evidence/log';
import { recordSchema } from '$core/proving/kinds';

/** An entry taken, with what it says. */
export const recordedSchema = z.object({
  record: recordSchema,
  verdict: verdictSchema,
  checks: z.array(checkSchema).readonly(),
  known: z.boolean().meta({ description: 'This very entry was on record before: sending twice does not double it' }),
  why: z.string().nullable().meta({ description: 'Why it proves nothing, where it does not: it is kept as a fact' }),
});

const howMany = (what: string) => z.int().min(0).meta({ description: what });

/** How much of a record somebody has, in the order in which it is told: the rest is what came since. */
export const recordSinceSchema = z.object({
  entries: z.coerce.number().pipe(howMany('Entries that are known already')).default(0),
  releases: z.coerce.number().pipe(howMany('Releases that are known already')).default(0),
  lastEntry: uuid()
    .optional()
    .meta({ description: 'Id of the last of them: where another stands there it is another record, and told whole' }),
  lastReleaseMs: z.coerce
    .number()
    .pipe(z.int())
    .optional()
    .meta({ unit: 'ms', description: 'When the last of them was released: likewise' }),
});
export type RecordSince = z.output<typeof recordSinceSchema>;

/** The record of a site as its releases and entries are: the one who reads it applies the rules. */
export const siteLogSchema = z.object({
  nowMs: z.number().meta({ unit: 'ms', description: 'Clock of the server, since 1970' }),
  counts: z.object({ entries: howMany('Entries on record'), releases: howMany('Releases of the site') }),
  whole: z.boolean().meta({ description: 'Told from its beginning: nothing of it was known to whoever asked' }),
  releases: z.array(
    z.object({
      letter: z.string(),
      revision: z.number(),
      releasedBy: z.string(),
      atMs: z.number(),
      design: siteDesignSchema,
    }),
  ),
  entries: z.array(recordSchema),
});
/** As a screen reads it; frozen, for nobody changes what is on record. */
export type OpenedRecord = SiteLog & Readonly<Pick<z.output<typeof siteLogSchema>, 'nowMs' | 'counts' | 'whole'>>;
export const clockSchema = siteLogSchema.pick({ nowMs: true });
export const costSchema = z
  .array(z.object({ key: z.string(), gate: z.string(), object: z.string(), why: z.string() }))
  .readonly();
export const chainReportSchema = z.object({
  entries: z.number(),
  unchained: z.number().meta({ description: 'Entries of a time before the chain' }),
  broken: z.array(z.string()).readonly(),
});
