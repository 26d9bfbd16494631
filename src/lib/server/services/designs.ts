import { asc } from 'drizzle-orm';
import { v7 as uuidv7 } from 'uuid';
import type { SiteDesign } from '$core/site/siteDesign';
import { emptyDesign, siteDesignSchema } from '$core/site/siteDesign';
import { db } from '../db/client';
import type { StoredDesign } from '../db/designStore';
import { claimRevision, insertDesign, popHistory, readDesign, writeDesign } from '../db/designStore';
import { site } from '../db/schema';
import { Problem, parsed } from '../problem';

/** Sites with what the list shows of them, by name. */
export async function listSites() {
  return db()
    .select({ id: site.id, name: site.name, revision: site.revision, changedAt: site.changedAt, summary: site.summary })
    .from(site)
    .orderBy(asc(site.name));
}

export async function loadDesign(siteId: string): Promise<StoredDesign> {
  const found = isUuid(siteId) ? await readDesign(db(), siteId) : null;
  if (!found)
    throw new Problem(404, 'No such site', 'There is no site at this address. Go back to the yard and pick one.');
  return found;
}

const isUuid = (id: string) => /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i.test(id);

export async function createSite(name: string): Promise<string> {
  const design = parsed(siteDesignSchema, emptyDesign(name), 'The new site');
  const siteId = uuidv7();
  await db().transaction((tx) => insertDesign(tx, siteId, design));
  return siteId;
}

function conflict(found: number, expected: number): Problem {
  return new Problem(
    409,
    'Changed meanwhile',
    `Somebody changed this site since you opened it (revision ${expected}, now ${found}). Nothing of yours was written: reload, look at the change, and enter yours again.`,
  );
}

/**
 * The one way a design changes: under its revision, through an edit of core, past its schema, with the design before kept for undo.
 * A stale revision is a conflict; an edit that would break the design is refused. Either way nothing is written.
 */
export async function changeDesign(
  siteId: string,
  revision: number,
  edit: (design: SiteDesign) => SiteDesign,
): Promise<StoredDesign> {
  return db().transaction(async (tx) => {
    const before = await claimed(tx, siteId, revision);
    const design = parsed(siteDesignSchema, edit(before.design), 'The changed design');
    await writeDesign(tx, before, design, true);
    return { siteId, revision: revision + 1, design, canUndo: true };
  });
}

/** Takes the last change back. The revision goes on counting: an undo is a change too. */
export async function undoChange(siteId: string, revision: number): Promise<StoredDesign> {
  return db().transaction(async (tx) => {
    const before = await claimed(tx, siteId, revision);
    const design = await popHistory(tx, siteId);
    if (!design) throw new Problem(409, 'Nothing to undo', 'There is no earlier change of this site to go back to.');
    await writeDesign(tx, before, design, false);
    return { siteId, revision: revision + 1, design, canUndo: (await readDesign(tx, siteId))?.canUndo ?? false };
  });
}

async function claimed(
  tx: Parameters<Parameters<ReturnType<typeof db>['transaction']>[0]>[0],
  siteId: string,
  revision: number,
): Promise<StoredDesign> {
  const taken = isUuid(siteId) && (await claimRevision(tx, siteId, revision));
  const before = isUuid(siteId) ? await readDesign(tx, siteId) : null;
  if (!before) throw new Problem(404, 'No such site', 'There is no site at this address.');
  if (!taken) throw conflict(before.revision, revision);
  return { ...before, revision };
}
