import { asc, eq, sql } from 'drizzle-orm';
import { isDeepStrictEqual } from 'node:util';
import { siteDesignSchema } from '$core/design';
import { RELEASES_MOST, releaseLetter, releaseNumber } from '$core/design/releaseLetter';
import { costOf } from '$core/proving/releaseCost';
import type { Cost } from '$core/proving/releaseCost';
import { readDesign } from '../db/designStore';
import { release, site } from '../db/schema';
import { siteTransaction } from '../db/siteTurn';
import { Problem, parsed } from '../problem';
import type { Context } from './context';
import { isUuid, loadDesign, noSite } from './designs';
import { provedBy, siteLog } from './siteLogs';

/** Freezes the design as it stands under the next letter: read, looked at, numbered and written while the site is held. */
export async function releaseDesign(context: Context, siteId: string, revision: number, by: string): Promise<string> {
  if (!isUuid(siteId)) throw noSite();
  return siteTransaction(context.db, siteId, async (tx) => {
    await tx.select({ id: site.id }).from(site).where(eq(site.id, siteId)).for('update');
    const stored = await readDesign(tx, siteId);
    if (!stored) throw noSite();
    if (stored.revision !== revision)
      throw new Problem(
        409,
        'Changed meanwhile',
        'The design changed since you opened it. Reload, look at it, and release it then.',
        [{ pointer: '/revision', detail: 'is older than the design' }],
      );
    const design = parsed(siteDesignSchema, stored.design, 'The design');
    const { releases } = await siteLog(siteId, tx);
    const last = releases.at(-1);
    if (last && isDeepStrictEqual(last.design, design))
      throw new Problem(409, 'Nothing new to release', `Release ${last.letter} is this very design.`, [
        { pointer: '/revision', detail: 'is released already' },
      ]);
    const letters = await tx
      .select({ letter: release.letter, seq: release.seq })
      .from(release)
      .where(eq(release.siteId, siteId));
    const number = Math.max(0, ...letters.map((r) => releaseNumber(r.letter))) + 1;
    if (number > RELEASES_MOST)
      throw new Problem(409, 'No letter left', `A site has ${RELEASES_MOST} releases at most: go on in a copy of it.`, [
        { in: 'path', pointer: '/id', detail: 'must be a site with letters left' },
      ]);
    const letter = releaseLetter(number);
    await tx.insert(release).values({
      siteId,
      letter,
      seq: Math.max(0, ...letters.map((r) => r.seq)) + 1,
      revision,
      design,
      releasedBy: by,
      // No earlier than the one before it, whatever the clock of the database says.
      releasedAt: sql`greatest(clock_timestamp(), (select max(r.released_at) + interval '1 millisecond' from ${release} r where r.site_id = ${siteId}))`,
    });
    return letter;
  });
}

/** Proofs that a release of the design as it stands would cost. */
export async function releaseCost(context: Context, siteId: string): Promise<readonly Cost[]> {
  const [stored, log] = await Promise.all([loadDesign(context, siteId), siteLog(siteId, context.db)]);
  const before = await provedBy(log, context.now);
  return costOf(log, stored.design, Math.max(before.nowMs, context.now().getTime()), before);
}

/** Letters of a site with who released them, oldest first, without the frozen designs. */
export async function listReleases({ db }: Context, siteId: string) {
  return db
    .select({
      letter: release.letter,
      revision: release.revision,
      releasedBy: release.releasedBy,
      releasedAt: release.releasedAt,
    })
    .from(release)
    .where(eq(release.siteId, siteId))
    .orderBy(asc(release.seq));
}
