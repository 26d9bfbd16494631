import { and, asc, eq, gt } from 'drizzle-orm';
import { openDesign } from '$core/design/edition';
import type { SiteDesign } from '$core/design';
import type { Evidence } from '$core/proving/evidence';
import { evidence } from '$core/proving/evidence';
import type { SiteLog } from '$core/proving/evidence/log';
import { openEntry } from '$core/proving/readEntry';
import type { Db, Tx } from '../db/client';
import { release, siteRecord } from '../db/schema';

/** A frozen design with who released it and when. */
export interface ReleasedDesign {
  readonly letter: string;
  readonly revision: number;
  readonly releasedBy: string;
  readonly atMs: number;
  readonly design: SiteDesign;
}

/** The record of a site, with who released what. */
export interface ReleasedLog extends SiteLog {
  readonly releases: readonly ReleasedDesign[];
}
interface Known extends ReleasedLog {
  readonly seq: number;
}
/** Logs read last: releases are frozen and entries only added, so only what is newer has to be read. */
const MOST = 16;
const KNOWN = new Map<string, Known>();

function keep(siteId: string, known: Known): Known {
  KNOWN.delete(siteId);
  KNOWN.set(siteId, known);
  const [oldest] = KNOWN.keys();
  if (KNOWN.size > MOST && oldest !== undefined) KNOWN.delete(oldest);
  return known;
}

/** What logs proved when somebody last asked, or when they were shorter. */
const PROVED = new WeakMap<ReleasedLog, Evidence>();

/** All releases and entries of a site. */
export async function siteLog(siteId: string, tx: Tx | Db): Promise<ReleasedLog> {
  const was = KNOWN.get(siteId) ?? { releases: [], entries: [], seq: 0 };
  const letters = await tx
    .select({ letter: release.letter, releasedAt: release.releasedAt })
    .from(release)
    .where(eq(release.siteId, siteId));
  const rows = await tx
    .select({ seq: siteRecord.seq, body: siteRecord.body })
    .from(siteRecord)
    .where(and(eq(siteRecord.siteId, siteId), gt(siteRecord.seq, was.seq)))
    .orderBy(asc(siteRecord.seq));
  const releases = letters.length === was.releases.length ? was.releases : await readReleases(siteId, tx);
  if (rows.length === 0 && releases === was.releases) return was;
  const entries = rows.length ? [...was.entries, ...rows.map((r) => openEntry(r.body))] : was.entries;
  const longer = { releases, entries, seq: rows.at(-1)?.seq ?? was.seq };
  const proved = PROVED.get(was);
  if (proved) PROVED.set(longer, proved);
  return keep(siteId, longer);
}

async function readReleases(siteId: string, tx: Tx | Db): Promise<ReleasedDesign[]> {
  const frozen = await tx.select().from(release).where(eq(release.siteId, siteId)).orderBy(asc(release.releasedAt));
  return frozen.map(({ letter, revision, releasedBy, releasedAt, design }) => ({
    letter,
    revision,
    releasedBy,
    atMs: releasedAt.getTime(),
    design: openDesign(design),
  }));
}

/** What a site's record proves now: worked out once for a log, from what it proved when it was shorter or a day of the site had not ended. */
export function provedBy(log: ReleasedLog, nowMs: number): Evidence {
  const known = PROVED.get(log);
  if (known?.log === log && nowMs < known.untilMs && nowMs >= known.nowMs) return known;
  const made = evidence(log, nowMs, known);
  PROVED.set(log, made);
  return made;
}
