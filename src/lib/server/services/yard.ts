import { asc, eq, sql } from 'drizzle-orm';
import { v7 as uuidv7 } from 'uuid';
import type { ListedSite } from '$lib/schemas/site';
import type { Standing } from '$lib/schemas/standing';
import { insertDesign } from '../db/designStore';
import { release, site } from '../db/schema';
import type { Context } from './context';
import { isUuid, loadDesign, noSite } from './designs';
import { copyBackdrops } from './backdrops';
import { freshSummaries, summaryLater } from './summaries';

/** The yard: every site with what the list shows of it, and what is done to sites as a whole. */

const isReleased = sql<boolean>`exists (select 1 from ${release} r where r.site_id = ${site.id})`;

/** Sites by name. Summaries older than the design or the rules are made again first. */
export async function listSites(context: Context): Promise<ListedSite[]> {
  const rows = await context.db
    .select({
      id: site.id,
      name: site.name,
      revision: site.revision,
      changedAt: site.changedAt,
      standing: site.standing,
      entries: site.recordCount,
      isReleased,
    })
    .from(site)
    // Two sites may have one name: the earlier one first, every time.
    .orderBy(asc(site.name), asc(site.id));
  const summaries = await freshSummaries(context);
  return rows.flatMap(({ entries, isReleased: released, changedAt, ...row }): ListedSite[] => {
    const summary = summaries.get(row.id);
    const stage = entries > 0 ? 'on site' : released ? 'released' : 'design';
    return summary
      ? [{ ...row, changedAt: changedAt.toISOString(), stage, summary: { ...summary, line: [...summary.line] } }]
      : [];
  });
}

/** Puts a site aside, out of sight, or back. Nothing of it is taken away. */
export async function setStanding(
  { db }: Context,
  siteId: string,
  standing: Standing,
): Promise<{ readonly standing: Standing }> {
  const known = isUuid(siteId)
    ? await db.update(site).set({ standing }).where(eq(site.id, siteId)).returning({ id: site.id })
    : [];
  if (known.length === 0) throw noSite();
  return { standing };
}

/** A new site that starts with the design of another, under a name of its own: without its releases and its record. */
export async function copySite(context: Context, siteId: string, name: string): Promise<string> {
  const { design: of } = await loadDesign(context, siteId);
  const design = { ...of, survey: { ...of.survey, name } };
  const copyId = uuidv7();
  await context.db.transaction(async (tx) => {
    await insertDesign(tx, copyId, design);
    await copyBackdrops(tx, siteId, copyId);
  });
  summaryLater(context, copyId, { design, revision: 1 });
  return copyId;
}
