import { and, asc, eq, gt, sql } from 'drizzle-orm';
import { LRUCache } from 'lru-cache';
import { setImmediate as nextTurn } from 'node:timers/promises';
import { openDesign } from '$core/design/edition';
import type { SiteDesign } from '$core/design';
import type { Entry } from '$core/proving/entry';
import type { Evidence } from '$core/proving/evidence';
import { evidence } from '$core/proving/evidence';
import type { SiteLog } from '$core/proving/evidence/log';
import { openEntry } from '$core/proving/readEntry';
import type { RecordSince } from '$lib/schemas/record';
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
/** So many entries, with a release counted as fifty, are kept with what they prove: some 250 MB. */
const MOST_ENTRIES = 50_000;
/** Logs read last: releases are frozen and entries only added, so only what is newer has to be read. */
const KNOWN = new LRUCache<string, Known>({
  maxSize: MOST_ENTRIES,
  // One that is larger than all there is room for is kept alone.
  sizeCalculation: ({ entries, releases }) => Math.min(MOST_ENTRIES, 1 + entries.length + 50 * releases.length),
});

/** What logs proved when somebody last asked, or when they were shorter; and the same of their entries as JSON. */
const PROVED = new WeakMap<ReleasedLog, Evidence>();
const WRITTEN = new WeakMap<ReleasedLog, { readonly count: number; readonly pieces: readonly Buffer[] }>();
const FROZEN = new WeakMap<ReleasedDesign, Buffer>();

/** All releases and entries of a site. */
export async function siteLog(siteId: string, tx: Tx | Db): Promise<ReleasedLog> {
  const was = KNOWN.get(siteId) ?? { releases: [], unreadable: [], entries: [], seq: 0 };
  const {
    rows: [news],
  } = await tx.execute<{ releases: number; more: boolean }>(sql`
    select (select count(*)::int from ${release} where ${eq(release.siteId, siteId)}) as releases,
      exists (select 1 from ${siteRecord} where ${after(siteId, was.seq)}) as more`);
  const same = news?.releases === was.releases.length + was.unreadable.length;
  if (!news?.more && same) return was;
  const { releases, unreadable } = same ? was : await readReleases(siteId, tx);
  const { entries, seq } = news?.more ? await readEntries(siteId, tx, was) : was;
  const longer = { releases, unreadable, entries, seq };
  carry(PROVED, was, longer);
  carry(WRITTEN, was, longer);
  KNOWN.set(siteId, longer);
  return longer;
}

const after = (siteId: string, seq: number) => and(eq(siteRecord.siteId, siteId), gt(siteRecord.seq, seq));

/** What was added since, read in slices. */
async function readEntries(siteId: string, tx: Tx | Db, was: Known): Promise<Pick<Known, 'entries' | 'seq'>> {
  const entries = [...was.entries];
  let { seq } = was;
  for (;;) {
    const rows = await tx
      .select({ seq: siteRecord.seq, body: siteRecord.body })
      .from(siteRecord)
      .where(after(siteId, seq))
      .orderBy(asc(siteRecord.seq))
      .limit(SLICE);
    for (const { body } of rows) entries.push(openEntry(body));
    seq = rows.at(-1)?.seq ?? seq;
    if (rows.length < SLICE) return { entries, seq };
  }
}

function carry<T>(known: WeakMap<ReleasedLog, T>, from: ReleasedLog, to: ReleasedLog): void {
  const value = known.get(from);
  if (value !== undefined) known.set(to, value);
}

/** Elements of a JSON list without its brackets, in pieces: what was written of a shorter log is not written again. */
export interface LogJson {
  readonly releases: readonly Buffer[];
  readonly entries: readonly Buffer[];
}
export function logJson(own: ReleasedLog, since: RecordSince): LogJson {
  const releases = own.releases.slice(since.releases).map((r, i) => {
    const frozen = FROZEN.get(r) ?? jsonOf(r);
    FROZEN.set(r, frozen);
    return i === 0 ? frozen : Buffer.concat([COMMA, frozen]);
  });
  return { releases, entries: since.entries ? inPieces([], own.entries.slice(since.entries)) : wholeOf(own) };
}

/** Every entry: asked for whenever a screen opens. */
function wholeOf(own: ReleasedLog): readonly Buffer[] {
  const known = WRITTEN.get(own) ?? { count: 0, pieces: [] };
  const written = { count: own.entries.length, pieces: inPieces(known.pieces, own.entries.slice(known.count)) };
  WRITTEN.set(own, written);
  return written.pieces;
}

/** A piece is closed when it is as long as this, bytes. */
const PIECE_MIN = 128 * 1024;
const COMMA = Buffer.from(',');
const jsonOf = (value: unknown): Buffer => Buffer.from(JSON.stringify(value));

function inPieces(known: readonly Buffer[], entries: readonly Entry[]): readonly Buffer[] {
  if (entries.length === 0) return known;
  const pieces = [...known];
  const last = pieces.at(-1);
  let open: Buffer[] = [];
  let bytes = 0;
  if (last && last.length < PIECE_MIN) {
    pieces.pop();
    open = [last];
    bytes = last.length;
  }
  for (const entry of entries) {
    const json = jsonOf(entry);
    if (pieces.length || open.length) open.push(COMMA);
    open.push(json);
    bytes += json.length;
    if (bytes < PIECE_MIN) continue;
    pieces.push(Buffer.concat(open));
    [open, bytes] = [[], 0];
  }
  return open.length ? [...pieces, Buffer.concat(open)] : pieces;
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

/** So many entries are read, or worked through, before others are heard. */
const SLICE = 300;

/**
 * What a site's record proves now: worked out once for a log, from what it proved when it was shorter or a day of the site had not ended. A long
 * one that nobody asked for yet is worked through in slices. Returned with the moment it is held against, at which nothing is waited for any more.
 */
export async function provedBy(own: ReleasedLog, now: () => Date): Promise<Evidence> {
  for (;;) {
    const known = PROVED.get(own);
    const done = known && sameReleases(known.log, own) ? known.log.entries.length : 0;
    if (own.entries.length - done <= SLICE) break;
    PROVED.set(own, evidence({ ...own, entries: own.entries.slice(0, done + SLICE) }, now().getTime(), known));
    await nextTurn();
  }
  const known = PROVED.get(own);
  const nowMs = now().getTime();
  if (known?.log === own && nowMs < known.untilMs && nowMs >= known.nowMs) return known;
  const made = evidence(own, nowMs, known);
  PROVED.set(own, made);
  return made;
}

const sameReleases = (a: SiteLog, b: SiteLog): boolean =>
  a.releases.length === b.releases.length && a.releases.every((r, i) => r === b.releases[i]);
