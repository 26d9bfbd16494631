import type { Entry } from '../proving/entry';
import type { SiteLog } from '../proving/evidence/log';
import { GATE_TABLE } from '../proving/gates/table';

/**
 * The record read by the sentences of its rules alone, as slowly as they are written: every order that the clocks allow is tried, and in each
 * of them every gate is asked again at every moment, from the entries. Nothing here is shared with `evidence` but the table of gates.
 */

export type Says = 'pass' | 'caution' | 'fail' | 'none';
/** What a test knows of an entry without judging it: what it says of each gate that it measures. */
export type Labels = ReadonlyMap<string, Readonly<Record<string, Says>>>;

/** The one site of the model: a unit U with strings. What each part rests on, by release letter. */
export interface NaiveSite {
  readonly unit: string;
  readonly strings: readonly string[];
  readonly busFitted: boolean;
  readonly rcd: boolean;
  readonly stop: boolean;
  readonly contacts: boolean;
  /** Text of the inputs of a gate at a part in a release. */
  readonly inputs: (letter: string, gate: string, object: string) => string;
  /** A reading that a release speaks against: what it says of its gates by that release, where that is worse than what it said by itself. */
  readonly against: (letter: string, entry: Entry) => Says | undefined;
  /** Midnights of the site up to now, ms. */
  readonly midnights: readonly number[];
  /** The site's day at a moment. */
  readonly day: (ms: number) => string;
}

type Event = {
  readonly t: number;
  readonly u: number;
  readonly entry?: Entry;
  readonly letter?: string;
  readonly midnight?: true;
};

const RISING: readonly Says[] = ['fail', 'none', 'caution', 'pass'];
const worst = (...says: readonly (Says | undefined)[]): Says => RISING.find((s) => says.includes(s)) as Says;
const measures = (entry: Entry) => entry.kind !== 'gate' && entry.kind !== 'step';

const ROWS = new Map(GATE_TABLE.map((r) => [r.id as string, r]));
const row = (gate: string) => {
  const r = ROWS.get(gate);
  if (!r) throw new RangeError(gate);
  return r;
};
const MEASURED = [
  'I-MOUNT',
  'S-EARTH',
  'S-SUPPLY',
  'I-PE',
  'I-ACIR',
  'I-TORQ',
  'I-ACV',
  'I-RCD',
  'I-DCLAND',
  'D-POL',
  'D-VOC',
  'D-IR',
  'D-ISC',
  'I-THERM',
  'S-METER',
  'S-ESTOP',
  'I-ADDR',
  'I-SETUP',
  'I-DRY',
  'S-BUS',
  'I-ONGRID',
  'S-PTO',
];
const RANK = { designer: 0, reader: 0, helper: 1, lead: 2, electrician: 3 } as const;

/** Gates withdrawn by what can happen, as the chapter says it. */
const WITHDRAWS: Readonly<Record<string, readonly string[]>> = {
  'joint opened': ['I-TORQ', 'I-THERM', 'I-ACV', 'I-COVER'],
  'unit unsafe': ['I-PERMIT'],
  'site unsafe': ['S-SAFE'],
  storm: ['S-SAFE'],
  'plug moved': ['I-DCLAND'],
  'earth fault on the string': ['D-IR'],
  'string re-made': ['D-ID', 'D-POL', 'D-VOC', 'D-IR', 'D-ISC', 'I-SISTER'],
  'earth bar opened': ['S-EARTH'],
  'parameter changed': ['I-SETUP'],
  // The unit's own and everything that rests on them, followed by hand through the table.
  'unit replaced': [
    'I-MOUNT',
    'I-PE',
    'I-ADDR',
    'I-ONGRID',
    'S-BUS',
    'S-SOAK',
    'I-ACIR',
    'I-TORQ',
    'I-ACV',
    'I-RCD',
    'I-DCLAND',
    'I-COVER',
    'I-PERMIT',
    'I-SETUP',
    'I-DRY',
    'I-THERM',
    'I-SISTER',
    'S-METER',
    'S-ESTOP',
    'S-PERF',
    'S-HAND',
  ],
};

export interface NaiveAnswer {
  /** Gate at part → the states it has over all possible orders. */
  readonly states: ReadonlyMap<string, ReadonlySet<string>>;
  readonly switchOff: boolean;
  readonly live: boolean;
  /** The next step of order 1 is permitted by its guards in every order; null where orders differ in what is next. */
  readonly permitted: boolean | null;
  readonly orders: number;
}

/** Every order that device sequence, names and corrected clocks allow. Undefined past so many. */
function possibleOrders(log: SiteLog, site: NaiveSite, most: number): Event[][] | undefined {
  const events: Event[] = [
    ...log.releases.map((r) => ({ t: r.atMs, u: 0, letter: r.letter })),
    ...site.midnights.map((t) => ({ t, u: 0, midnight: true as const })),
    ...log.entries.map((entry) => ({
      t: Date.parse(entry.doneAt) + (entry.device?.offsetMs ?? 0),
      u: Math.max(1000, (entry.device?.roundTripMs ?? 0) / 2),
      entry,
    })),
  ];
  const own = (a: Event, b: Event) =>
    a.entry?.device && b.entry?.device ? a.entry.device.id === b.entry.device.id : !a.entry && !b.entry;
  const seq = (e: Event) => e.entry?.device?.seq ?? e.t;
  const names = (b: Event, a: Event) =>
    b.entry !== undefined &&
    ((a.entry !== undefined &&
      (b.entry.corrects === a.entry.id || (b.entry.values as { entryId?: string }).entryId === a.entry.id)) ||
      a.letter === b.entry.release);
  // A device's sequence bounds when each of its entries can have been; where its clock contradicts that, it was anywhere between.
  // What names another entry came after it, whatever its clock says.
  let at = new Map<Event, [number, number]>(events.map((e) => [e, [e.t - e.u, e.t + e.u]]));
  const lo = (e: Event) => (at.get(e) as [number, number])[0];
  const hi = (e: Event) => (at.get(e) as [number, number])[1];
  const named = events.flatMap((b) => events.filter((a) => a !== b && names(b, a)).map((a) => [b, a] as const));
  const families = events.filter((e) => e.entry).map((e) => [e, events.filter((x) => x === e || own(x, e))] as const);
  const inSequence = () => {
    const next = new Map(at);
    for (const [e, mine] of families) {
      const earliest = Math.max(...mine.filter((x) => seq(x) <= seq(e)).map(lo));
      const latest = Math.min(...mine.filter((x) => seq(x) >= seq(e)).map(hi));
      next.set(e, [Math.min(earliest, latest), Math.max(earliest, latest)]);
    }
    at = next;
  };
  inSequence();
  for (let moved = true; moved;) {
    moved = false;
    for (const [b, a] of named)
      if (lo(a) > lo(b)) {
        at.set(b, [lo(a), Math.max(hi(b), lo(a))]);
        moved = true;
      }
    if (moved) inSequence();
  }
  const before = (a: Event, b: Event) => {
    if (own(a, b)) return seq(a) < seq(b) || (seq(a) === seq(b) && !!a.letter && !!b.midnight);
    if (names(b, a)) return true;
    if (names(a, b)) return false;
    return hi(a) < lo(b);
  };
  const orders: Event[][] = [];
  const grow = (done: Event[], left: Event[]): boolean => {
    if (left.length === 0) {
      orders.push(done);
      return orders.length <= most;
    }
    for (const e of left)
      if (
        !left.some((x) => x !== e && before(x, e)) &&
        !grow(
          [...done, e],
          left.filter((x) => x !== e),
        )
      )
        return false;
    return true;
  };
  return grow([], events) ? orders : undefined;
}

const SHARED = new Map<string, Map<string, boolean>>();

/** One order of the work, asked at every moment. `k` counts events: state after the k-th. */
class Naive {
  readonly #closed = new Map<string, boolean>();

  /** Answers at the events that many histories begin with; the same for all of them. */
  readonly #shared: { readonly upTo: number; readonly closed: Map<string, boolean> };

  constructor(
    readonly events: readonly Event[],
    readonly site: NaiveSite,
    readonly labels: Labels,
    beginning: readonly string[],
  ) {
    const ids = events.slice(0, beginning.length + 1).map((e) => e.entry?.id ?? e.letter);
    const same = ids.join() === ['A', ...beginning].join();
    const key = beginning.join();
    const closed = SHARED.get(key) ?? new Map<string, boolean>();
    SHARED.set(key, closed);
    this.#shared = { upTo: same ? ids.length : -1, closed };
  }

  #entry(i: number): Entry | undefined {
    return this.events[i - 1]?.entry;
  }
  #released(k: number): string | undefined {
    return this.events
      .slice(0, k)
      .filter((e) => e.letter)
      .at(-1)?.letter;
  }
  #day(entry: Entry): string {
    return this.site.day(
      Date.parse(entry.doneAt) + (entry.device?.offsetMs ?? 0) + Math.max(1000, (entry.device?.roundTripMs ?? 0) / 2),
    );
  }
  #rank(entry: Entry): number {
    if (entry.role !== 'electrician') return RANK[entry.role];
    return entry.licensedUntil !== null && this.#day(entry) <= entry.licensedUntil ? 3 : 1;
  }

  applies(gate: string): boolean {
    const a = row(gate).applies;
    if (a === 'always') return true;
    if (a === 'bus fitted') return this.site.busFitted;
    if (a === 'rcd fitted') return this.site.rcd;
    if (a === 'stop fitted') return this.site.stop;
    // The histories play on a site of the IEC school, which asks for no rapid shutdown.
    return a === 'contacts fitted' ? this.site.contacts : false;
  }
  parts(gate: string): readonly string[] {
    const { scope } = row(gate);
    return scope === 'site'
      ? ['site']
      : scope === 'inverter'
        ? [this.site.unit]
        : scope === 'string'
          ? this.site.strings
          : [];
  }
  needs(gate: string, object: string): [string, string][] {
    const ids: readonly string[] =
      gate === 'S-HAND'
        ? GATE_TABLE.map((r) => r.id as string).filter((id) => !['S-HAND', 'S-SAFE', 'I-PERMIT'].includes(id))
        : row(gate).needs;
    return ids
      .filter((id) => this.applies(id))
      .flatMap((id) =>
        row(id).scope === row(gate).scope
          ? [[id, object] as [string, string]]
          : this.parts(id).map((o): [string, string] => [id, o]),
      );
  }

  /** What an entry says of a gate at a part. */
  #says(entry: Entry, gate: string, object: string): Says | undefined {
    if (entry.subject.id !== object || row(gate).scope !== entry.subject.scope) return undefined;
    if (entry.kind === 'gate') {
      const v = entry.values as { gate: string; result: Says };
      if (v.gate !== gate) return undefined;
      return v.result === 'pass' && MEASURED.includes(gate) ? undefined : v.result;
    }
    if (entry.kind === 'step')
      return gate === 'I-ONGRID' && (entry.values as { state: string }).state === 'ON_GRID' ? 'pass' : undefined;
    // What a simulated device said speaks of nothing.
    if ((entry.values as { from?: string }).from === 'stand-in') return undefined;
    return this.labels.get(entry.id)?.[gate];
  }

  #against(letter: string | undefined, entry: Entry): Says | undefined {
    return letter !== undefined && measures(entry) ? this.site.against(letter, entry) : undefined;
  }

  /** Readings of a gate as they stand after event k: where each was made, what it says by then, and by which entry. */
  readings(gate: string, object: string, k: number): { at: number; says: Says; by: Entry; signed: boolean }[] {
    const found: { at: number; says: Says; by: Entry; signed: boolean }[] = [];
    for (let i = 1; i <= k; i++) {
      const { midnight, letter } = this.events[i - 1] as Event;
      if (letter !== undefined) {
        const ruling = this.#fold(gate, object, found, i - 1);
        if (ruling) Object.assign(ruling, { says: worst(ruling.says, this.#against(letter, ruling.by)) });
      }
      if (
        midnight &&
        (gate === 'S-SAFE' || gate === 'I-PERMIT') &&
        this.#fold(gate, object, found, i - 1)?.says !== 'fail'
      )
        found.length = 0;
      const entry = this.#entry(i);
      if (!entry) continue;
      const alone = this.#says(entry, gate, object);
      if (alone === undefined) continue;
      // Judged by its own release and by the newest that there was: the worse counts.
      const target =
        entry.corrects === null ? undefined : this.events.find((e) => e.entry?.id === entry.corrects)?.entry;
      const says = worst(
        alone,
        this.#against((target ?? entry).release, entry),
        this.#against(this.#released(i), entry),
      );
      if (entry.corrects !== null) {
        const old = found.find((r) => r.by.id === entry.corrects);
        if (!old || !target || !this.#mayCorrect(entry, target)) continue;
        const raises = RISING.indexOf(says) > RISING.indexOf(old.says);
        const may = this.#rank(entry) >= RANK[row(gate).signer];
        if (raises && !may) continue;
        Object.assign(old, { says, by: entry, signed: raises || old.signed });
      } else if (entry.kind !== 'step' || this.#stepCounts(i)) {
        const up = says === 'pass' || says === 'caution';
        found.push({ at: i, says, by: entry, signed: !up || this.#rank(entry) >= RANK[row(gate).signer] });
      }
    }
    return found;
  }

  #mayCorrect(entry: Entry, target: Entry): boolean {
    const same = (f: (e: Entry) => unknown) => f(entry) === f(target);
    return (
      !!entry.reason?.trim() &&
      same((e) => e.kind) &&
      same((e) => e.subject.id) &&
      same((e) => e.subject.scope) &&
      same((e) => (e.values as { gate?: string }).gate) &&
      this.#rank(entry) >= RANK[target.role]
    );
  }

  /** The reading that rules: the newest; one that proves nothing withdraws, and clears no fail. */
  #fold(
    gate: string,
    object: string,
    readings: readonly { at: number; says: Says; by: Entry; signed: boolean }[],
    k: number,
  ) {
    let ruling: { at: number; says: Says; by: Entry } | null = null;
    for (const r of readings) {
      const counts =
        r.says === 'fail' ||
        ((r.says === 'pass' || r.says === 'caution') && r.signed && this.#workable(gate, object, r.at));
      if (counts) ruling = r;
      else if (ruling?.says !== 'fail') ruling = null;
    }
    void k;
    return ruling;
  }

  /** Every need was closed when it was made, and the day was safe where that is asked. */
  #workable(gate: string, object: string, at: number): boolean {
    if (this.#released(at) === undefined || this.#overNothing(gate)) return false;
    const safe = ['hands', 'live'].includes(row(gate).zone) || gate === 'I-PERMIT' || gate === 'D-ID';
    // What one reading says of two gates counts for the second as well: the sign of a voltage comes with its volts.
    const entry = this.#entry(at) as Entry;
    const withIt = (g: string, o: string) => this.closed(g, o, this.#says(entry, g, o) === undefined ? at - 1 : at);
    return this.needs(gate, object).every(([g, o]) => withIt(g, o)) && (!safe || this.closed('S-SAFE', 'site', at - 1));
  }
  #overNothing(gate: string): boolean {
    return (
      row(gate).scope !== 'string' &&
      row(gate).needs.some((n) => row(n).scope === 'string') &&
      this.site.strings.length === 0
    );
  }

  /** Whether a proof made at an event was broken since: by a need, by what happened, by an input. */
  #brokenSince(gate: string, object: string, from: number, made: string, k: number, waived = false): boolean {
    for (let j = from; j <= k; j++) {
      const event = this.events[j - 1] as Event;
      const { entry, letter } = event;
      if (
        row(gate).cascade &&
        (j > from || waived) &&
        this.needs(gate, object).some(([g, o]) => g !== 'S-SAFE' && !this.closed(g, o, j))
      )
        return true;
      if (j > from && entry?.kind === 'happening' && this.#withdraws(entry, gate, object)) return true;
      if (j > from && letter && this.site.inputs(letter, gate, object) !== this.site.inputs(made, gate, object))
        return true;
      // What was said of a day is over with it; a fail that is put right on another day as well.
      if (j > from && event.midnight && (gate === 'S-SAFE' || gate === 'I-PERMIT')) return true;
      if (j > from && gate === 'S-HAND' && this.needs('S-HAND', 'site').some(([g, o]) => !this.closed(g, o, j)))
        return true;
    }
    // Made on an older release: stale at once where a newer one that existed then differs.
    const newer = this.events.slice(0, from).flatMap((e) => (e.letter ? [e.letter] : []));
    return newer
      .slice(newer.indexOf(made) + 1)
      .some((l) => this.site.inputs(l, gate, object) !== this.site.inputs(made, gate, object));
  }
  #withdraws(entry: Entry, gate: string, object: string): boolean {
    const { what } = entry.values as { what: string };
    if (!WITHDRAWS[what]?.includes(gate)) return false;
    return row(gate).scope === entry.subject.scope ? entry.subject.id === object : true;
  }

  state(gate: string, object: string, k: number): string {
    if (!this.applies(gate)) return 'n/a';
    const readings = this.readings(gate, object, k);
    const waived = this.#waiver(gate, object, k, readings);
    if (waived) return waived;
    const ruling = this.#fold(gate, object, readings, k);
    if (ruling?.says === 'fail') return 'failed';
    if (ruling && this.#brokenSince(gate, object, ruling.at, (this.#entry(ruling.at) as Entry).release, k))
      return 'stale';
    if (ruling?.says === 'caution') return this.#accepted(gate, object, k, ruling) ? 'accepted' : 'caution';
    if (ruling) return 'passed';
    const open = this.needs(gate, object).some(([g, o]) => !this.closed(g, o, k)) || this.#overNothing(gate);
    const unsafe =
      (['hands', 'live'].includes(row(gate).zone) || gate === 'I-PERMIT') && !this.closed('S-SAFE', 'site', k);
    return open || unsafe ? 'locked' : 'open';
  }

  closed(gate: string, object: string, k: number): boolean {
    const key = `${gate}@${object}#${k}`;
    const memo = k <= this.#shared.upTo ? this.#shared.closed : this.#closed;
    const known = memo.get(key);
    if (known !== undefined) return known;
    const made = ['n/a', 'passed', 'accepted', 'waived'].includes(this.state(gate, object, k));
    memo.set(key, made);
    return made;
  }

  #accepted(gate: string, object: string, k: number, ruling: { at: number; by: Entry }): boolean {
    for (let i = ruling.at + 1; i <= k; i++) {
      const e = this.#entry(i);
      const v = e?.values as { gate?: string; entryId?: string } | undefined;
      if (
        e?.kind !== 'acceptance' ||
        v?.gate !== gate ||
        e.subject.id !== object ||
        e.subject.scope !== row(gate).scope
      )
        continue;
      const before = this.readings(gate, object, i - 1);
      const newest = before.at(-1);
      const rules = this.#fold(gate, object, before, i - 1);
      // It dies when its reading is corrected: by then another entry stands there.
      if (
        this.#rank(e) === 3 &&
        (e.reason ?? '').trim().length >= 15 &&
        newest?.by.id === v.entryId &&
        newest?.says === 'caution' &&
        rules?.at === newest.at &&
        newest.by.id === ruling.by.id &&
        newest.at === ruling.at
      )
        return true;
    }
    return false;
  }

  /** A waiver that holds after event k: its state; null where there is none. */
  #waiver(gate: string, object: string, k: number, readings: readonly { at: number; by: Entry }[]): string | null {
    const { waiver } = row(gate);
    for (let i = k; i >= 1; i--) {
      const e = this.#entry(i);
      const v = e?.values as { gate?: string; entryId?: string | null; reviewDays?: number } | undefined;
      if (e?.kind !== 'waiver' || v?.gate !== gate || e.subject.id !== object || e.subject.scope !== row(gate).scope)
        continue;
      const rank = this.#rank(e);
      if (waiver === 'never' || rank < (waiver === 'electrician' ? 3 : 2) || (e.reason ?? '').trim().length < 15)
        continue;
      const before = this.readings(gate, object, i - 1);
      const newest = before.at(-1);
      const names = v.entryId === null ? before.length === 0 : newest?.by.id === v.entryId && newest?.says === 'fail';
      if (!names) continue;
      // It dies with what it names, and with any newer reading.
      if (readings.length !== before.length || readings.at(-1)?.by.id !== newest?.by.id) return null;
      const review = new Date(Date.parse(`${this.#day(e)}T00:00:00Z`) + 86_400_000 * (v.reviewDays ?? 0))
        .toISOString()
        .slice(0, 10);
      if (newest && review < this.#day(newest.by)) continue;
      const lapsed = this.events.slice(i, k).some((x) => x.midnight && this.site.day(x.t) > review);
      if (lapsed) return null;
      return this.#brokenSince(gate, object, i, e.release, k, true) ? 'stale' : 'waived';
    }
    return null;
  }

  /** Switching, walked through from the start. */
  run(k: number) {
    let run = { done: [] as string[], stopped: false, live: false, off: [] as string[], permitLost: true };
    const unit = this.site.unit;
    const UP = ['LOCKED_OFF', 'AC_CLOSED', 'DC_CLOSED', 'SELF_CHECK', 'GRID_WAIT', 'RAMP', 'ON_GRID', 'SETTLED'];
    const OFF = ['STOP', 'AC_OPEN', 'DC_OPEN', 'DISCHARGE', 'PROVE_DEAD', 'SAFE'];
    const counted: number[] = [];
    for (let j = 1; j <= k; j++) {
      const e = this.#entry(j);
      const wasClosed = this.closed('I-PERMIT', unit, j - 1);
      if (e?.kind === 'step') {
        const { state, order } = e.values as { state: string; order: string };
        const able = this.#rank(e) === 3;
        if (order === 'off') {
          if (able && OFF[run.off.length] === state) {
            counted.push(j);
            if (run.done.length && !run.done.includes('ON_GRID')) run.stopped = true;
            run.off.push(state);
            if (state === 'SAFE') run = { ...run, done: [], stopped: false, live: false, off: [] };
          }
        } else {
          const gates: [string, string][] = [
            ['S-SAFE', 'site'],
            ['I-PERMIT', unit],
            ...(state === 'AC_CLOSED' ? [['I-ACV', unit] as [string, string]] : []),
            ...(state === 'DC_CLOSED'
              ? [
                  ['I-DCLAND', unit] as [string, string],
                  ...this.site.strings.map((s): [string, string] => ['D-VOC', s]),
                ]
              : []),
            ...(state === 'ON_GRID' ? [['I-SETUP', unit] as [string, string]] : []),
          ];
          const ok =
            able &&
            UP[run.done.length] === state &&
            !run.stopped &&
            run.off.length === 0 &&
            gates.every(([g, o]) => this.closed(g, o, j - 1));
          if (ok) {
            run.done.push(state);
            counted.push(j);
          }
          if (state !== 'LOCKED_OFF') run.live = true;
        }
      }
      if (
        e?.kind === 'happening' &&
        (e.values as { what: string }).what === 'unit replaced' &&
        e.subject.scope === 'inverter'
      )
        run = { done: [], stopped: false, live: false, off: [], permitLost: true };
      const underWay = run.done.length > 0 && !run.done.includes('ON_GRID');
      if (underWay && (!this.closed('S-SAFE', 'site', j) || !this.closed('I-PERMIT', unit, j))) run.stopped = true;
      const isClosed = this.closed('I-PERMIT', unit, j);
      const midnight = (this.events[j - 1] as Event).midnight;
      const needOpen = this.needs('I-PERMIT', unit).some(([g, o]) => !this.closed(g, o, j));
      // A correction stands in the place of the old entry: it gives nothing anew.
      if (isClosed && e?.corrects === null && this.#says(e, 'I-PERMIT', unit) !== undefined) run.permitLost = false;
      else if (
        needOpen ||
        (wasClosed && !isClosed && (!midnight || !run.live)) ||
        (e?.kind === 'happening' && this.#withdraws(e, 'I-PERMIT', unit))
      )
        run.permitLost = true;
    }
    return { ...run, counted };
  }
  readonly #counts = new Map<number, boolean>();
  #stepCounts(i: number): boolean {
    const known = this.#counts.get(i);
    if (known !== undefined) return known;
    this.#counts.set(i, false); // on the way: a step never rests on what it makes
    const made = this.run(i).counted.includes(i);
    this.#counts.set(i, made);
    return made;
  }

  /** After the last event: does the unit have to be switched off, and may the next step be made. */
  alarm(): boolean {
    const k = this.events.length;
    const run = this.run(k);
    return (
      run.live && (run.permitLost || this.needs('I-PERMIT', this.site.unit).some(([g, o]) => !this.closed(g, o, k)))
    );
  }
}

/** What the sentences say of a log after everything in it, over every order that is possible. Undefined where there are too many. */
export function naiveRecord(
  log: SiteLog,
  site: NaiveSite,
  labels: Labels,
  beginning: readonly string[],
  most = 200,
): NaiveAnswer | undefined {
  const orders = possibleOrders(log, site, most);
  if (!orders) return undefined;
  const states = new Map<string, Set<string>>();
  let [switchOff, live] = [false, false];
  const next = new Set<string>();
  let permitted = true;
  for (const events of orders) {
    const naive = new Naive(events, site, labels, beginning);
    const k = events.length;
    for (const { id } of GATE_TABLE)
      for (const object of naive.parts(id)) {
        const key = row(id).scope === 'site' ? id : `${id}@${object}`;
        const of = states.get(key) ?? new Set<string>();
        states.set(key, of.add(naive.state(id, object, k)));
      }
    switchOff ||= naive.alarm();
    const run = naive.run(k);
    live ||= run.live;
    next.add(run.done.join());
    permitted &&=
      !run.stopped &&
      run.off.length === 0 &&
      naive.closed('S-SAFE', 'site', k) &&
      naive.closed('I-PERMIT', site.unit, k);
  }
  return { states, switchOff, live, permitted: next.size === 1 ? permitted : null, orders: orders.length };
}
