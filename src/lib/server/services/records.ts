import { and, asc, eq } from 'drizzle-orm';
import { isDeepStrictEqual } from 'node:util';
import type { GateKey, GateView } from '$core/proving/gates/machine';
import { gateKey, gateRow, judgeWaiver, maySign } from '$core/proving/gates/machine';
import type { Judged } from '$core/proving/judge';
import { judge } from '$core/proving/judge';
import { confirmTrouble, energiseProgress, stepLimits } from '$core/proving/energiseProgress';
import type { Progress } from '$core/proving/progress';
import { progressOf } from '$core/proving/progress';
import type { SiteRecord } from '$core/proving/record';
import { correctionTrouble, liveRecords, recordSchema } from '$core/proving/record';
import type { SiteDesign } from '$core/design';
import type { Db, Tx } from '../db/client';
import { openDesign } from '$core/design/edition';
import type { Context } from './context';
import { todayOf } from './context';
import { release, siteRecord } from '../db/schema';
import { Problem, orProblem, parsed } from '../problem';
import { loadDesign } from './designs';

export interface ReleasedDesign {
  readonly letter: string;
  readonly revision: number;
  readonly releasedBy: string;
  readonly releasedAt: Date;
  readonly design: SiteDesign;
}

export interface Logbook {
  readonly records: readonly SiteRecord[];
  readonly releases: readonly ReleasedDesign[];
  /** Null until a design is released: there is nothing to build from, so nothing to record. */
  readonly current: ReleasedDesign | null;
  readonly progress: Progress | null;
}

/** All releases and entries of a site, with what they say together. */
export async function readLogbook(
  context: Context,
  siteId: string,
  on = todayOf(context),
  tx: Tx | Db = context.db,
): Promise<Logbook> {
  const frozen = await tx.select().from(release).where(eq(release.siteId, siteId)).orderBy(asc(release.releasedAt));
  const releases = frozen.map((r) => ({ ...r, design: openDesign(r.design) }));
  const rows = await tx
    .select({ body: siteRecord.body })
    .from(siteRecord)
    .where(eq(siteRecord.siteId, siteId))
    .orderBy(asc(siteRecord.doneAt), asc(siteRecord.id));
  const records = rows.map((r) => r.body);
  const current = releases.at(-1) ?? null;
  const progress =
    current &&
    progressOf({
      records,
      releases: new Map(releases.map((r) => [r.letter, r.design])),
      current: current.letter,
      today: on,
    });
  return { records, releases, current, progress };
}

const nextLetter = (letters: readonly string[]): string => {
  const last = letters.at(-1);
  if (!last) return 'A';
  if (last.length === 1) return last === 'Z' ? 'AA' : String.fromCharCode(last.charCodeAt(0) + 1);
  const [tens = 'A', ones = 'A'] = last;
  return ones === 'Z'
    ? `${String.fromCharCode(tens.charCodeAt(0) + 1)}A`
    : `${tens}${String.fromCharCode(ones.charCodeAt(0) + 1)}`;
};

/** Freezes the design as it stands under the next letter. */
export async function releaseDesign(context: Context, siteId: string, revision: number, by: string): Promise<string> {
  const stored = await loadDesign(context, siteId);
  if (stored.revision !== revision)
    throw new Problem(
      409,
      'Changed meanwhile',
      'The design changed since you opened it. Reload, look at it, and release it then.',
    );
  return context.db.transaction(async (tx) => {
    const earlier = await tx
      .select({ letter: release.letter, design: release.design })
      .from(release)
      .where(eq(release.siteId, siteId))
      .orderBy(asc(release.releasedAt))
      .for('update');
    if (earlier.length && isDeepStrictEqual(openDesign(earlier.at(-1)?.design), stored.design))
      throw new Problem(409, 'Nothing new to release', `Release ${earlier.at(-1)?.letter} is this very design.`);
    const letter = nextLetter(earlier.map((r) => r.letter));
    await tx.insert(release).values({ siteId, letter, revision, design: stored.design, releasedBy: by });
    return letter;
  });
}

/** Clocks of phones drift: later than this ahead of ours, an entry's time is wrong, ms. */
const AHEAD_MAX_MS = 5 * 60_000;
/** Kinds that only a qualified electrician makes. */
const ELECTRICIAN_ONLY: ReadonlySet<SiteRecord['kind']> = new Set<SiteRecord['kind']>([
  'string-test',
  'insulation',
  'ac-voltages',
  'torque',
  'energise',
]);

export interface Added {
  readonly record: SiteRecord;
  readonly judged: Judged;
  /** True when this very entry was on record before: sending twice does not double it. */
  readonly known: boolean;
}

/** Adds one entry. Refused with a reason when the order of gates, the role, or the entry it corrects does not allow it. */
export async function addRecord(context: Context, siteId: string, input: unknown): Promise<Added> {
  const record = parsed(recordSchema, input, 'The entry');
  await loadDesign(context, siteId);
  return context.db.transaction(async (tx) => {
    const book = await readLogbook(context, siteId, record.doneAt.slice(0, 10), tx);
    const made = book.releases.find((r) => r.letter === record.release)?.design;
    if (!made)
      throw refusal('/release', `There is no release ${record.release} of this site: release the design first.`);
    const known = book.records.find((r) => r.id === record.id);
    const verdictOf = () =>
      orProblem(() => judge(record, made, liveRecords([...book.records.filter((r) => r.id !== record.id), record])));
    if (known) {
      if (isDeepStrictEqual(known, record)) return { record, judged: verdictOf(), known: true };
      throw new Problem(
        409,
        'Id already used',
        'An entry with this id but other contents is on record. A correction is a new entry with an id of its own.',
      );
    }
    refuseUnfit(context, record, made, book);
    const judged = verdictOf();
    const added = await tx
      .insert(siteRecord)
      .values({
        siteId,
        id: record.id,
        kind: record.kind,
        scope: record.subject.scope,
        subjectId: record.subject.id,
        release: record.release,
        doneAt: new Date(record.doneAt),
        corrects: record.corrects,
        body: record,
      })
      .onConflictDoNothing()
      .returning({ id: siteRecord.id });
    if (added.length === 1) return { record, judged, known: false };
    // Sent twice at once, or the entry was corrected by somebody else in the same moment.
    const [twin] = await tx
      .select({ body: siteRecord.body })
      .from(siteRecord)
      .where(and(eq(siteRecord.siteId, siteId), eq(siteRecord.id, record.id)));
    if (twin && isDeepStrictEqual(twin.body, record)) return { record, judged, known: true };
    throw new Problem(
      409,
      'Corrected meanwhile',
      'Somebody else corrected this entry a moment ago. Reload and correct the newer one.',
    );
  });
}

const refusal = (pointer: string, detail: string) => new Problem(422, 'Refused', detail, [{ pointer, detail }]);

function refuseUnfit({ now }: Context, record: SiteRecord, design: SiteDesign, book: Logbook): void {
  const { subject } = record;
  const exists =
    subject.scope === 'site' ||
    (subject.scope === 'inverter' ? design.inverters : design.strings).some((p) => p.id === subject.id);
  if (!exists) throw refusal('/subject/id', `Release ${record.release} has no ${subject.scope} ${subject.id}.`);
  if (Date.parse(record.doneAt) > now().getTime() + AHEAD_MAX_MS)
    throw refusal('/doneAt', 'The time lies in the future: set the clock of this device.');
  if (ELECTRICIAN_ONLY.has(record.kind) && record.role !== 'electrician')
    throw refusal('/role', 'Only a qualified electrician measures, terminates and energises.');
  const trouble = correctionTrouble(record, book.records);
  if (trouble) throw refusal('/corrects', trouble);
  if (record.kind === 'gate') refuseGate(record, book.progress?.gates ?? new Map());
  if (record.kind === 'waiver') {
    const { waived, why } = judgeWaiver(
      gateRow(record.values.gate),
      record.role,
      record.reason ?? '',
      record.values.reviewDays,
    );
    if (!waived) throw refusal('/values/gate', why);
  }
  if (record.kind === 'energise') {
    const gates = book.progress?.gates ?? new Map<GateKey, GateView>();
    const step = energiseProgress(design, subject.id, book.records, gates).find(
      (s) => s.step.state === record.values.state,
    );
    const why = confirmTrouble(step, record, stepLimits(design, subject.id, book.records));
    if (why) throw refusal('/values/reading', why);
  }
}

/** Gates that close by a measurement or by the energising order, never by a tick. */
const BY_READING: ReadonlySet<string> = new Set(['D-POL', 'D-VOC', 'D-IR', 'I-ACIR', 'I-ACV', 'I-TORQ', 'I-ONGRID']);

function refuseGate(record: Extract<SiteRecord, { kind: 'gate' }>, gates: ReadonlyMap<GateKey, GateView>): void {
  const { gate, result } = record.values;
  const row = gateRow(gate);
  const view = gates.get(gateKey(gate, record.subject.id));
  if (row.scope !== record.subject.scope || !view) throw refusal('/subject', `Gate ${gate} belongs to a ${row.scope}.`);
  if (view.state === 'n/a') throw refusal('/values/gate', `Gate ${gate} does not apply on this site.`);
  if (!maySign(row, record.role))
    throw refusal('/role', `Gate ${gate} is signed by the ${row.signer}; a ${record.role} may not.`);
  if (
    result === 'accepted' &&
    (view.state !== 'caution' || record.role !== 'electrician' || (record.reason ?? '').length < 15)
  ) {
    throw refusal(
      '/values/result',
      'Only a caution can be accepted: by an electrician, with a reason of at least 15 characters.',
    );
  }
  if (result !== 'pass') return;
  if (BY_READING.has(gate)) throw refusal('/values/gate', `Gate ${gate} closes by its measurement, not by a tick.`);
  if (view.state === 'locked')
    throw refusal('/values/gate', `Gate ${gate} is locked: it waits for ${view.waitsFor.join(', ') || 'its strings'}.`);
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
    .orderBy(asc(release.releasedAt));
}
