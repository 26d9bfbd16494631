import { z } from 'zod';
import { recordSchema } from '$core/proving/kinds';
import { siteDesignSchema } from '$core/design';
import { RELEASES_MOST } from '$core/design/releaseLetter';
import { uuid } from '$core/kernel/schema';
import { revision } from './site';

/** A whole site in one file: design, releases and record. `docs/formats.md` describes it for other programs. */
export const PROJECT_FORMAT = 'bolt-yard-project';
export const PROJECT_VERSION = 2;
/** Entries that a file may bring: more than the longest job of weeks writes. */
const RECORDS_MOST = 50_000;

export const projectFileSchema = z
  .object({
    format: z.literal(PROJECT_FORMAT),
    version: z.literal(PROJECT_VERSION),
    siteId: uuid(),
    revision,
    exportedAt: z.iso.datetime({ offset: true }),
    design: siteDesignSchema,
    releases: z
      .array(
        z.object({
          letter: z.string().regex(/^[A-Z]{1,2}$/),
          revision,
          releasedBy: z.string().min(1).max(80),
          releasedAt: z.iso.datetime({ offset: true }),
          design: siteDesignSchema,
        }),
      )
      .max(RELEASES_MOST),
    records: z.array(recordSchema).max(RECORDS_MOST),
  })
  .superRefine((file, ctx) => {
    const letters = new Set(file.releases.map((r) => r.letter));
    const ids = new Set(file.records.map((r) => r.id));
    const say = (path: (string | number)[], message: string) => ctx.addIssue({ code: 'custom', path, message });
    if (letters.size < file.releases.length) say(['releases'], 'A release letter is used twice.');
    if (ids.size < file.records.length) say(['records'], 'A record id is used twice.');
    file.records.forEach((r, at) => {
      if (!letters.has(r.release)) say(['records', at, 'release'], `There is no release ${r.release} in this file.`);
      if (r.corrects !== null && !ids.has(r.corrects))
        say(['records', at, 'corrects'], 'The entry it corrects is not in this file.');
    });
  })
  .meta({ id: 'ProjectFile' });

export type ProjectFile = z.infer<typeof projectFileSchema>;
