import { and, eq, or, sql } from 'drizzle-orm';
import type { SiteDesign } from '$core/design';
import { RULES_VERSION } from '$core/design';
import { readDesign } from '../db/designStore';
import { site } from '../db/schema';
import type { SiteSummary } from '../db/summary';
import { summaryOf } from '../db/summary';
import { log, withoutValues } from '../log';
import type { Context } from './context';

/** Keeps a summary, unless the design has moved on meanwhile. */
async function keep({ db }: Context, siteId: string, revision: number, summary: SiteSummary): Promise<void> {
  await db
    .update(site)
    .set({ summary, summaryRevision: revision, summaryRules: RULES_VERSION })
    .where(and(eq(site.id, siteId), eq(site.revision, revision)));
}

/** Changes come in bursts: a site is summed up when it has been left alone for this long, ms. */
const REST_MS = 400;
const waiting = new Map<string, NodeJS.Timeout>();

/** Sums a design up outside the change that made it: nobody waits, and what fails here is made again when the list is read. */
export function summaryLater(context: Context, siteId: string, design: SiteDesign, revision: number): void {
  clearTimeout(waiting.get(siteId));
  const timer = setTimeout(() => {
    waiting.delete(siteId);
    keep(context, siteId, revision, summaryOf(siteId, design)).catch((cause: unknown) =>
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
    if (stored) await keep(context, id, stored.revision, summaryOf(id, stored.design));
  }
  const rows = await db.select({ id: site.id, summary: site.summary }).from(site);
  return new Map(rows.flatMap(({ id, summary }) => (summary ? [[id, summary] as const] : [])));
}
