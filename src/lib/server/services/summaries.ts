import { and, eq, or, sql } from 'drizzle-orm';
import { RULES_VERSION } from '$core/design';
import { readDesign } from '../db/designStore';
import { site } from '../db/schema';
import type { SiteSummary } from '../db/summary';
import { log, withoutValues } from '../log';
import type { AtRevision, Context } from './context';

/** Sums a site up and keeps it, unless the design has moved on meanwhile. */
async function sumUp({ db, summed }: Context, siteId: string, stored: AtRevision): Promise<void> {
  const { revision, summary } = await summed(siteId, stored);
  await db
    .update(site)
    .set({ summary, summaryRevision: revision, summaryRules: RULES_VERSION })
    .where(and(eq(site.id, siteId), eq(site.revision, revision)));
}

/** Changes come in bursts: a site is summed up when it has been left alone for this long, ms. */
const REST_MS = 400;
const waiting = new Map<string, NodeJS.Timeout>();

/** Sums a design up outside the change that made it: nobody waits, and what fails here is made again when the list is read. */
export function summaryLater(context: Context, siteId: string, stored: AtRevision): void {
  clearTimeout(waiting.get(siteId));
  const timer = setTimeout(() => {
    waiting.delete(siteId);
    sumUp(context, siteId, stored).catch((cause: unknown) =>
      log.warn({ siteId, error: withoutValues(cause) }, 'summary not kept; the list makes it again'),
    );
  }, REST_MS);
  waiting.set(siteId, timer.unref());
}

/** Every site's summary; those older than the design or made by other rules are made again. */
export async function freshSummaries(context: Context): Promise<Map<string, SiteSummary>> {
  const { db } = context;
  const stale = await db
    .select({ id: site.id })
    .from(site)
    .where(
      or(
        sql`${site.summaryRevision} is distinct from ${site.revision}`,
        sql`${site.summaryRules} is distinct from ${RULES_VERSION}`,
      ),
    );
  for (const { id } of stale) {
    const stored = await readDesign(db, id);
    if (stored) await sumUp(context, id, stored);
  }
  const rows = await db.select({ id: site.id, summary: site.summary }).from(site);
  return new Map(rows.flatMap(({ id, summary }) => (summary ? [[id, summary] as const] : [])));
}
