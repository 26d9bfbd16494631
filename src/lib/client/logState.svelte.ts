import { v7 as uuidv7 } from 'uuid';
import { z } from 'zod';
import type { Instrument } from '$core/equipment/instrument';
import type { Verdict } from '$core/kernel/check';
import { worstCheck } from '$core/kernel/check';
import { withArticle } from '$core/kernel/words';
import { admit, isFresh } from '$core/proving/door';
import type { Entry, EntrySubject } from '$core/proving/entry';
import type { Evidence } from '$core/proving/evidence';
import { evidence } from '$core/proving/evidence';
import { namedBy } from '$core/proving/evidence/items';
import type { SiteLog } from '$core/proving/evidence/log';
import { beginsWith } from '$core/proving/evidence/log';
import { kindNamed, recordSchema } from '$core/proving/kinds';
import { HAPPENING } from '$core/proving/kinds/happening';
import { happeningNamed } from '$core/proving/tables/happenings';
import type { OpenedRecord, RecordSince } from '$lib/schemas/record';
import type { ProblemDocument } from '$lib/schemas/problem';
import { ApiProblem, PATIENCE_MS, RECORD_PATIENCE_MS, SILENT_AFTER_MS, nobodyAnswered, post, read } from './api';
import type { Clock } from './device';
import { deviceId, lastClock, measureClock, nextSeq } from './device';
import { ENTRY_BOX, Outbox } from './outbox';
import { instrumentsFor, signOn, withOffset } from './signOn.svelte';

/** What a page hands over for an entry; who, when, with what, on which device and release is added here. */
export interface Draft {
  readonly kind: string;
  readonly subject: EntrySubject;
  readonly values: unknown;
  readonly corrects?: string | null;
  readonly reason?: string | null;
  /** What it was measured with, where that was chosen: else the first at hand that fits. */
  readonly instrument?: Instrument | null;
}

/** An entry that the server would not take, with why; kept on the device until somebody has seen it. */
const refusedSchema = z.object({ id: z.string(), entry: recordSchema, why: z.string() });
export interface Refused {
  readonly id: string;
  readonly entry: Entry;
  readonly why: string;
}

/** A clock reading older than this is taken anew before an entry is made, ms. */
const CLOCK_STANDS_MS = 10 * 60_000;
/** Where nobody told the time it is asked for again after so long, ms: until then nobody waits for it. */
const CLOCK_ASKED_MS = 60_000;
const RETRY_MS = 5000;
const NOTHING_TOLD: RecordSince = { entries: 0, releases: 0 };

const isDanger = (entry: Entry): boolean => HAPPENING.is(entry) && happeningNamed(entry.values.what).danger;

const refusal = (detail: string, pointer: string, title = 'Refused'): ProblemDocument => ({
  type: 'about:blank',
  title,
  status: 422,
  detail,
  errors: [{ pointer, detail }],
});

/**
 * The record of the open site as this device knows it: what the server has, and what is not sent yet. What it proves is worked out here by the
 * rules that the server goes by; an entry counts on screen at once, and is sent when somebody answers.
 */
export class LogState {
  releases = $state.raw<SiteLog['releases']>([]);
  #entries = $state.raw<readonly Entry[]>([]);
  /** In the order in which they were made. */
  unsent = $state.raw<readonly Entry[]>([]);
  refused = $state.raw<readonly Refused[]>([]);
  #seen = $state.raw<ReadonlySet<string>>(new Set());
  /** Refusals that nobody has seen yet. */
  readonly unseen: readonly Refused[] = $derived(this.refused.filter((r) => !this.#seen.has(r.id)));
  /** What the server said of an entry at which it failed itself; it is tried again. Null while none is held back by that. */
  failing = $state<string | null>(null);
  /** Entries kept on this device that this version does not read: they are not sent, and stay where they are. */
  unreadable = $state(0);
  /** The device does not keep what is not sent: a reload would lose it. */
  forgetful = $state(false);
  busy = $state(false);
  problem = $state.raw<ProblemDocument | null>(null);
  /** Verdict of the last entry made here. */
  verdict = $state<Verdict | null>(null);
  /** The entry that was made here last, unless it was not taken; null since the last try. */
  made = $state<string | null>(null);
  /** Dangers that others reported while the record stood on this screen, until somebody has seen them. */
  alarms = $state.raw<readonly Entry[]>([]);
  /** When the record was read last, by the server's clock, ms; null before it was. */
  readAtMs = $state<number | null>(null);
  /** Nobody answered when it was asked for last. */
  silent = $state(false);
  #nowMs = $state(0);
  #clock: Clock = { offsetMs: 0, roundTripMs: 0, atMs: 0 };
  #clockAskedMs = 0;
  /** How much of the record the server has told. */
  #told: RecordSince = NOTHING_TOLD;
  #looking: Promise<void> | null = null;
  readonly #outbox: Outbox<Entry>;
  readonly #refusals: Outbox<Refused>;
  #sending: Promise<void> | null = null;
  #timer: ReturnType<typeof setTimeout> | null = null;

  readonly entries: readonly Entry[] = $derived.by(() => {
    const known = new Set(this.#entries.map((e) => e.id));
    return [...this.#entries, ...this.unsent.filter((e) => !known.has(e.id))];
  });
  /** What was proved when this was last asked: only what came since is worked through. */
  #proved: Evidence | undefined;
  readonly evidence: Evidence = $derived.by(() => {
    const log = { releases: this.releases, entries: this.entries };
    return (this.#proved = evidence(log, this.#nowMs, this.#proved));
  });

  constructor(readonly siteId: string) {
    this.#outbox = new Outbox(`${ENTRY_BOX}.${siteId}`, recordSchema);
    this.#refusals = new Outbox(`bolt-yard.refused.${siteId}`, refusedSchema);
  }

  /** How many entries of a kind about a part were made on this device, taken or refused: a form begins anew with each of its own, and with nobody else's. */
  madeHere(kind: string, { scope, id }: EntrySubject): number {
    const own = deviceId();
    const is = (e: Entry) =>
      e.kind === kind && e.device?.id === own && e.subject.scope === scope && e.subject.id === id;
    return this.entries.filter(is).length + this.refused.filter((r) => is(r.entry)).length;
  }

  get current() {
    return this.releases.at(-1) ?? null;
  }

  /** Shows what the server told, whole or since; what is not sent yet stays beside it. Null where nobody answered: what is known here stays. */
  take(log: OpenedRecord | null): void {
    this.silent = log === null;
    if (!log) return;
    const older = this.readAtMs !== null && log.nowMs < this.readAtMs;
    if (log.whole && !older && !beginsWith(log, this.#told)) this.#putBack(log);
    else this.#grown(log);
  }

  #grown(log: OpenedRecord): void {
    const first = this.readAtMs === null;
    this.readAtMs = log.nowMs;
    this.#told = {
      ...log.counts,
      lastEntry: log.entries.at(-1)?.id ?? this.#told.lastEntry,
      lastReleaseMs: log.releases.at(-1)?.atMs ?? this.#told.lastReleaseMs,
    };
    // Releases are frozen, entries never change and nothing goes from a record: what is here stays the very same, and what is new comes behind it.
    const letters = new Set(this.releases.map((r) => r.letter));
    const releases = log.releases.filter((r) => !letters.has(r.letter));
    if (releases.length) this.releases = [...this.releases, ...releases];
    const entries = this.#learn(log.entries);
    if (!first && releases.length === 0 && entries.length === 0) return;
    this.#nowMs = log.nowMs;
    if (!first) this.alarms = [...this.alarms, ...entries.filter(isDanger).filter((e) => e.device?.id !== deviceId())];
  }

  /** Puts entries that the server has behind those known; returns the new ones. What is on its way may be told of before it is answered for. */
  #learn(told: readonly Entry[]): readonly Entry[] {
    const known = new Set(this.#entries.map((e) => e.id));
    const own = new Map(this.unsent.map((e) => [e.id, e]));
    const added = told.filter((e) => !known.has(e.id)).map((e) => own.get(e.id) ?? e);
    if (added.length) this.#entries = [...this.#entries, ...added];
    return added;
  }

  /** The server has another record than it had: its database was put back. This device goes by what is there, and sends again what it made itself. */
  #putBack(log: OpenedRecord): void {
    const there = new Set(log.entries.map((e) => e.id));
    const lost = this.#entries.filter((e) => !there.has(e.id) && e.device?.id === deviceId());
    for (const entry of lost) this.forgetful = !this.#outbox.keep(entry) || this.forgetful;
    this.unsent = [...lost, ...this.unsent];
    this.#entries = this.#entries.filter((e) => there.has(e.id));
    this.releases = [];
    this.#told = NOTHING_TOLD;
    this.#grown(log);
    void this.flush();
  }

  /** Somebody has seen that another reported a danger. */
  heard(id: string): void {
    this.alarms = this.alarms.filter((e) => e.id !== id);
  }

  /** On the device: what was kept is sent, the clock is measured, and days end. */
  async open(): Promise<void> {
    this.#clock = lastClock();
    const { items, unreadable } = this.#outbox.read();
    this.unsent = items;
    this.unreadable = unreadable;
    this.refused = this.#refusals.read().items;
    await this.#setClock();
    void this.flush();
  }

  /** The site is opened again: what was said of an entry made on the visit before is over. */
  comeBack(): void {
    this.problem = this.verdict = this.made = null;
  }

  /** The server's clock as this device reckons it, ms. */
  get serverNowMs(): number {
    return Date.now() + this.#clock.offsetMs;
  }

  /** A day of the site may have ended. */
  tick(): void {
    if (this.serverNowMs >= this.evidence.untilMs) this.#nowMs = this.serverNowMs;
  }

  async #setClock(): Promise<void> {
    this.#clockAskedMs = Date.now();
    this.#clock = await measureClock();
  }

  async #entryOf(draft: Draft): Promise<Entry | ProblemDocument> {
    const now = Date.now();
    if (now - this.#clock.atMs > CLOCK_STANDS_MS && now - this.#clockAskedMs > CLOCK_ASKED_MS) await this.#setClock();
    const wanted = kindNamed(draft.kind).instrument;
    const instrument = draft.instrument ?? instrumentsFor(wanted)[0] ?? null;
    if (wanted && !instrument)
      return refusal(
        `This is measured with ${wanted.map(withArticle).join(' or ')}: add yours to the instruments at hand.`,
        '/instrument',
      );
    const { offsetMs, roundTripMs } = this.#clock;
    const parsed = recordSchema.safeParse({
      ...draft,
      id: uuidv7(),
      doneAt: withOffset(),
      device: { id: deviceId(), seq: nextSeq(), offsetMs, roundTripMs },
      by: signOn.by,
      role: signOn.role,
      licensedUntil: signOn.role === 'electrician' && signOn.licensedUntil ? signOn.licensedUntil : null,
      instrument,
      release: this.current?.letter ?? 'A',
      corrects: draft.corrects ?? null,
      reason: draft.reason ?? null,
    });
    if (parsed.success) return parsed.data;
    const errors = parsed.error.issues.map((i) => ({ pointer: `/${i.path.join('/')}`, detail: i.message }));
    return { ...refusal(errors[0]?.detail ?? 'Not as expected', '/'), errors };
  }

  /** Makes an entry: refused at once where the rules refuse it, else on screen, in the outbox, and on its way; nobody waits until it is there. */
  async add(draft: Draft): Promise<boolean> {
    this.busy = true;
    this.problem = null;
    this.verdict = null;
    this.made = null;
    try {
      const made = await this.#entryOf(draft);
      if (!('kind' in made)) {
        this.problem = made;
        return false;
      }
      const log = { releases: this.releases, entries: this.entries };
      const { refusal: why, after } = admit(log, made, this.serverNowMs, this.evidence);
      if (why) {
        this.problem = refusal(why.detail, why.pointer);
        return false;
      }
      this.unsent = [...this.unsent, made];
      this.forgetful = !this.#outbox.keep(made);
      this.#nowMs = this.serverNowMs;
      const { checks } = after.judgement(made);
      this.verdict = checks.length ? worstCheck(checks) : null;
      this.made = made.id;
      void this.flush();
      return true;
    } finally {
      this.busy = false;
    }
  }

  /**
   * Sends what is not sent, one after the other, a danger before all else. Silence keeps it for later; a refusal is shown with its reason; where
   * the server fails at an entry it is tried again, and holds up only what rests on it.
   */
  flush(): Promise<void> {
    this.#sending ??= this.#send().finally(() => (this.#sending = null));
    return this.#sending;
  }

  async #send(): Promise<void> {
    const aside = new Set<Entry>();
    let failing: string | null = null;
    for (let entry = this.#next(aside); entry; entry = this.#next(aside)) {
      try {
        await post(`/api/v1/sites/${this.siteId}/records`, entry, PATIENCE_MS);
        this.#learn([entry]);
      } catch (cause) {
        if (!(cause instanceof ApiProblem)) throw cause;
        if (nobodyAnswered(cause.problem)) {
          this.failing = failing;
          return this.#later();
        }
        if (cause.problem.status >= 500) {
          aside.add(entry);
          failing = cause.problem.detail;
          continue;
        }
        const refused = { id: entry.id, entry, why: cause.problem.detail };
        this.refused = [...this.refused, refused];
        this.#refusals.keep(refused);
        if (this.made === entry.id) this.made = null;
        // Somebody else's entry stands in the way: look at what is there now.
        await this.refresh();
      }
      this.unsent = this.unsent.filter((e) => e !== entry);
      this.#outbox.forget(entry.id);
    }
    this.failing = failing;
    if (aside.size) this.#later();
  }

  /** What is sent next. Past one at which the server fails goes what it takes without that one: what is no longer fresh is kept as a fact. */
  #next(aside: ReadonlySet<Entry>): Entry | undefined {
    const left = this.unsent.filter((e) => !aside.has(e));
    const rests = (e: Entry) =>
      isFresh(e, this.serverNowMs) || namedBy(e).some((id) => this.unsent.some((other) => other.id === id));
    return left.find(isDanger) ?? left.find((e) => aside.size === 0 || !rests(e));
  }

  /** Somebody has seen that an entry was not taken. */
  see(id: string): void {
    this.#seen = new Set([...this.#seen, id]);
    this.#refusals.forget(id);
  }

  #later(): void {
    if (this.#timer) clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.flush(), RETRY_MS);
  }

  /** What others wrote meanwhile. Of a moment's silence nobody is told. */
  async refresh(): Promise<void> {
    const known = Object.entries(this.#told).flatMap(([name, x]) => (x === undefined ? [] : [[name, String(x)]]));
    const record = `/api/v1/sites/${this.siteId}/records?${new URLSearchParams(known).toString()}`;
    try {
      const since = await read<OpenedRecord>(record, fetch, RECORD_PATIENCE_MS);
      this.take(since);
    } catch (cause) {
      if (!(cause instanceof ApiProblem)) throw cause;
      this.silent ||= this.readAtMs === null || this.serverNowMs - this.readAtMs > SILENT_AFTER_MS;
    }
  }

  /** As the screen goes on: days end, and others report what this device has to know, a danger above all. */
  look(): Promise<void> {
    this.tick();
    this.#looking ??= this.refresh().finally(() => (this.#looking = null));
    return this.#looking;
  }
}
