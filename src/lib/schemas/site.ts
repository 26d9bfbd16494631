import type { Operation } from 'fast-json-patch';
import { z } from 'zod';
import type { SiteDesign } from '$core/design';
import { designEditSchema, siteDesignSchema } from '$core/design';
import { acRunSchema } from '$core/ac/part';
import { LINE_ELEMENTS, verdictSchema } from '$core/kernel/check';
import { uuid } from '$core/kernel/schema';
import { pvStringSchema } from '$core/site/parts';
import { surveySchema } from '$core/site/survey';
import { STAGES_OF_WORK, STANDINGS } from './standing';

/** A site and its design, as the API takes and gives them. */

/** Of a design, as PostgreSQL counts it. */
export const revision = z.number().int().min(1).max(2_147_483_646);

export const createRequest = z.object({ name: surveySchema.shape.name });
export const createdSchema = z.object({ siteId: z.string() });

export const standingRequest = z.object({ standing: z.enum(STANDINGS) });

const verdictCounts = z.object({ stop: z.int(), unknown: z.int(), tight: z.int(), holds: z.int() });
export const listedSiteSchema = z.object({
  id: z.string(),
  name: z.string(),
  revision,
  changedAt: z.iso.datetime(),
  standing: standingRequest.shape.standing,
  stage: z.enum(STAGES_OF_WORK),
  summary: z.object({
    place: z.string(),
    inverters: z.int(),
    strings: z.int(),
    modules: z.int(),
    acKw: z.number(),
    dcKw: z.number(),
    counts: verdictCounts,
    line: z.array(
      z.object({
        element: z.enum(LINE_ELEMENTS),
        verdict: verdictSchema,
        margin: z.number().nullable(),
        reserve: z.number().optional(),
      }),
    ),
  }),
});
export type ListedSite = Readonly<z.infer<typeof listedSiteSchema>>;
export const listedSitesSchema = z.array(listedSiteSchema).meta({ description: 'By name' });

/** Given by whoever makes the change: sent again, it is known and answered as it was, and made once. */
const id = uuid().optional();

export const editRequest = z.object({ revision, edit: designEditSchema, id });
export const undoRequest = z.object({ revision, id });

/** What undo and redo would do next, in words; null where there is nothing to. */
const waysSchema = z.object({
  undoes: z.string().nullable().meta({ description: 'The change that undo takes back next; null where there is none' }),
  redoes: z
    .string()
    .nullable()
    .meta({ description: 'The change that redo makes again next; null where there is none' }),
});
export type Ways = Readonly<z.infer<typeof waysSchema>>;

/** What a change answers: not the design, which whoever changed it has, but what the server made otherwise. */
export const changedSchema = z.object({
  revision,
  ...waysSchema.shape,
  changes: z
    .array(
      z.object({
        op: z.enum(['add', 'remove', 'replace', 'move', 'copy', 'test']),
        path: z.string(),
        from: z.string().optional(),
        value: z.unknown().optional(),
      }),
    )
    .meta({
      id: 'DesignChanges',
      description:
        'JSON Patch (RFC 6902): after an edit, from the design with the edit to the stored one, and so mostly empty; after an undo or redo, from the design before it',
    }),
});
export type Changed = Omit<z.infer<typeof changedSchema>, 'changes'> & { changes: Operation[] };

/** A whole design with the revision it stands at. */
export interface StoredDesign extends Ways {
  readonly siteId: string;
  readonly revision: number;
  readonly design: SiteDesign;
}

/** Units of a site that run without their proofs: to be switched off until proved. */
export const switchOffSchema = z.array(z.object({ unit: z.string(), tag: z.string(), why: z.array(z.string()) }));
export type SwitchOffList = Readonly<z.infer<typeof switchOffSchema>>;
/** How many of them, by site; sites without any are left out. */
export const sitesToSwitchOffSchema = z.record(z.string(), z.int().positive());
export type SitesToSwitchOff = Readonly<z.infer<typeof sitesToSwitchOffSchema>>;

/** What a screen opens a site with. */
export const openedSiteSchema = z.object({
  siteId: z.string(),
  revision,
  design: siteDesignSchema,
  ...waysSchema.shape,
  releases: z
    .array(
      z.object({
        letter: z.string(),
        revision,
        releasedBy: z.string(),
        releasedAt: z.iso.datetime(),
      }),
    )
    .meta({ description: 'Without their frozen designs, oldest first' }),
  unreadable: z.array(z.string()).meta({
    description: 'Letters of releases that this program cannot read: what was recorded on them counts for nothing',
  }),
  switchOff: switchOffSchema.meta({
    description: 'Units that run without their proofs: to be switched off until proved',
  }),
});
export interface OpenedSite
  extends StoredDesign, Pick<z.infer<typeof openedSiteSchema>, 'releases' | 'unreadable' | 'switchOff'> {}

export const releaseRequest = z.object({ revision, by: z.string().trim().min(1, 'Say who releases it.').max(80) });
export const releasedSchema = z.object({ letter: z.string() });

export const runListSchema = z.object({
  runs: z.array(acRunSchema).readonly(),
  errors: z
    .array(z.object({ row: z.number(), column: z.string(), text: z.string() }))
    .readonly()
    .meta({ description: 'Rows that are wrong and can not be taken' }),
});
export const stringListSchema = z.object({ strings: z.array(pvStringSchema).readonly() });
