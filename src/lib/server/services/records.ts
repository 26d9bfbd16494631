import { asc, eq, sql } from 'drizzle-orm';
import { isDeepStrictEqual } from 'node:util';
import type { Check, Verdict } from '$core/kernel/check';
import { admit } from '$core/proving/door';
import type { Entry } from '$core/proving/entry';
import type { Evidence } from '$core/proving/evidence';
import { verdictOf } from '$core/proving/judging';
import { recordSchema } from '$core/proving/kinds';
import type { SitesToSwitchOff } from '$lib/schemas/site';
import type { Tx } from '../db/client';
import type { ChainReport } from '../db/recordChain';
import { chainHash, verifyChain } from '../db/recordChain';
import { site, siteRecord } from '../db/schema';
import { siteTransaction } from '../db/siteTurn';
import { Problem, parsed } from '../problem';
import type { Context } from './context';
import { isUuid, noSite } from './designs';
import { provedBy, siteLog } from './siteLogs';
import type { ReleasedDesign } from './siteLogs';

export interface Logbook {
  readonly entries: readonly Entry[];
  readonly releases: readonly ReleasedDesign[];
  readonly unreadable: readonly string[];
  /** Null until a design is released: there is nothing to build from, so nothing to record. */
  readonly current: ReleasedDesign | null;
  readonly evidence: Evidence;
}

/** All releases and entries of a site, with what they prove together now. */
export async function readLogbook(context: Context, siteId: string): Promise<Logbook> {
  const log = await siteLog(siteId, context.db);
  return { ...log, current: log.releases.at(-1) ?? null, evidence: await provedBy(log, context.now) };
}

export interface Added {
  readonly record: Entry;
  readonly verdict: Verdict;
  readonly checks: readonly Check[];
  /** True when this very entry was on record before: sending twice does not double it. */
  readonly known: boolean;
  /** Why it does not count, where it does not: it is kept as a fact. */
  readonly why: string | null;
}

const said = (after: Evidence, record: Entry, known: boolean, why: string | null): Added => {
  const judgement = after.judgement(record);
  return { record, checks: judgement.checks, verdict: verdictOf(judgement), known, why };
};

/** Adds one entry. Refused with a reason when the rules of the record do not let it count and it is only now being made. */
export async function addRecord(context: Context, siteId: string, input: unknown): Promise<Added> {
  const record = parsed(recordSchema, input, 'The entry');
  if (!isUuid(siteId)) throw noSite();
  return siteTransaction(context.db, siteId, async (tx) => {
    const head = await holdChain(tx, siteId);
    const log = await siteLog(siteId, tx);
    const before = await provedBy(log, context.now);
    // From here on nothing is waited for: what a later moment proved could not be gone on from.
    const nowMs = Math.max(before.nowMs, context.now().getTime());
    const twin = before.entry(record.id);
    if (twin && isDeepStrictEqual(twin, record)) return said(before, record, true, before.notes.get(record.id) ?? null);
    if (twin)
      throw new Problem(
        409,
        'Id already used',
        'An entry with this id but other contents is on record. A correction is a new entry with an id of its own.',
        [{ pointer: '/id', detail: 'is another entry’s' }],
      );
    const { refusal, after, why } = admit(log, record, nowMs, before);
    if (refusal) throw new Problem(422, 'Refused', refusal.detail, [refusal]);
    await appendEntries(tx, siteId, head, [record]);
    return said(after, record, false, why);
  });
}

interface Head {
  readonly count: number;
  readonly hash: string | null;
}

/** The end of a site's chain, held until commit: entries are chained one after the other. */
async function holdChain(tx: Tx, siteId: string): Promise<Head> {
  const [head] = await tx
    .select({ count: site.recordCount, hash: site.recordHash })
    .from(site)
    .where(eq(site.id, siteId))
    .for('update');
  if (!head) throw noSite();
  return head;
}

/** PostgreSQL takes 65535 parameters a statement; a row of the record has eleven. */
const CHUNK = 2000;

/** Writes entries behind the end of a site's chain. */
export async function appendEntries(tx: Tx, siteId: string, head: Head, entries: readonly Entry[]): Promise<void> {
  let { count, hash } = head;
  const rows = entries.map((entry) => {
    count += 1;
    hash = chainHash(hash ?? siteId, entry);
    return {
      siteId,
      id: entry.id,
      kind: entry.kind,
      scope: entry.subject.scope,
      subjectId: entry.subject.id,
      release: entry.release,
      doneAt: new Date(entry.doneAt),
      corrects: entry.corrects,
      body: entry,
      seq: count,
      hash,
    };
  });
  for (let at = 0; at < rows.length; at += CHUNK) await tx.insert(siteRecord).values(rows.slice(at, at + CHUNK));
  if (rows.length) await tx.update(site).set({ recordCount: count, recordHash: hash }).where(eq(site.id, siteId));
}

/** Walks the chain of a site's entries: what was altered, removed or moved since it was written is named. */
export async function verifyRecord({ db }: Pick<Context, 'db'>, siteId: string): Promise<ChainReport> {
  const [head] = await db
    .select({ count: site.recordCount, hash: site.recordHash })
    .from(site)
    .where(eq(site.id, siteId));
  const rows = await db
    .select({ seq: siteRecord.seq, id: siteRecord.id, hash: siteRecord.hash, body: siteRecord.body })
    .from(siteRecord)
    .where(eq(siteRecord.siteId, siteId))
    .orderBy(asc(siteRecord.seq));
  return verifyChain(siteId, rows, head ?? { count: 0, hash: null });
}

/** Every site by name, for whoever walks all chains. */
export const sitesWithRecord = ({ db }: Pick<Context, 'db'>) =>
  db
    .select({ id: site.id, name: site.name })
    .from(site)
    .where(sql`${site.recordCount} > 0`)
    .orderBy(asc(site.name), asc(site.id));

/** Sites on which units run without their proofs, with how many. */
export async function sitesToSwitchOff(context: Context): Promise<SitesToSwitchOff> {
  const found: Record<string, number> = {};
  for (const { id } of await sitesWithRecord(context)) {
    const { evidence } = await readLogbook(context, id);
    if (evidence.switchOff.length) found[id] = evidence.switchOff.length;
  }
  return found;
}
