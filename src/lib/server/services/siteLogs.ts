import { and, asc, eq, gt } from 'drizzle-orm';
import { openDesign } from '$core/design/edition';
import type { SiteDesign } from '$core/design';
import type { Evidence } from '$core/proving/evidence';
import { evidence } from '$core/proving/evidence';
import type { SiteLog } from '$core/proving/evidence/log';
import { openEntry } from '$core/proving/readEntry';
import type { Db, Tx } from '../db/client';
import { release, siteRecord } from '../db/schema';
import { log } from '../log';

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
  /** Letters of releases that this program cannot read: what was made on them counts for nothing, and the site lives on. */
  readonly unreadable: readonly string[];
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
  const was = KNOWN.get(siteId) ?? { releases: [], unreadable: [], entries: [], seq: 0 };
  const letters = await tx.select({ letter: release.letter }).from(release).where(eq(release.siteId, siteId));
  const rows = await tx
    .select({ seq: siteRecord.seq, body: siteRecord.body })
    .from(siteRecord)
    .where(and(eq(siteRecord.siteId, siteId), gt(siteRecord.seq, was.seq)))
    .orderBy(asc(siteRecord.seq));
  const same = letters.length === was.releases.length + was.unreadable.length;
  if (rows.length === 0 && same) return was;
  const { releases, unreadable } = same ? was : await readReleases(siteId, tx);
  const entries = rows.length ? [...was.entries, ...rows.map((r) => openEntry(r.body))] : was.entries;
  const longer = { releases, unreadable, entries, seq: rows.at(-1)?.seq ?? was.seq };
  const proved = PROVED.get(was);
  if (proved) PROVED.set(longer, proved);
  return keep(siteId, longer);
}

async function readReleases(siteId: string, tx: Tx | Db): Promise<Pick<ReleasedLog, 'releases' | 'unreadable'>> {
  const frozen = await tx.select().from(release).where(eq(release.siteId, siteId)).orderBy(asc(release.seq));
  const unreadable: string[] = [];
  const releases = frozen.flatMap(({ letter, revision, releasedBy, releasedAt, design }): ReleasedDesign[] => {
    const opened = readable(design);
    if (opened) return [{ letter, revision, releasedBy, atMs: releasedAt.getTime(), design: opened }];
    log.error({ siteId, letter }, 'a frozen release cannot be read by this program');
    unreadable.push(letter);
    return [];
  });
  return { releases, unreadable };
}

function readable(design: unknown): SiteDesign | null {
  try {
    return openDesign(design);
  } catch {
    return null;
  }
}

/** What a site's record proves now: worked out once for a log, from what it proved when it was shorter or a day of the site had not ended. */
export function provedBy(own: ReleasedLog, nowMs: number): Evidence {
  const known = PROVED.get(own);
  if (known?.log === own && nowMs < known.untilMs && nowMs >= known.nowMs) return known;
  const made = evidence(own, nowMs, known);
  PROVED.set(own, made);
  return made;
}
