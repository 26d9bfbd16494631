import type { Entry } from '../entry';
import type { GateId, GateKey, GateRow, Needs } from '../gates/machine';
import { GateNet, REASON_MIN, applies, gateKey, gateRow, judgeWaiver, wantsSafeDay } from '../gates/machine';
import { GATE_TABLE } from '../gates/table';
import type { Result } from '../kind';
import { kindOf, measuring } from '../kinds';
import { ACCEPTANCE } from '../kinds/acceptance';
import { GATE } from '../kinds/gate';
import { HAPPENING } from '../kinds/happening';
import { STEP } from '../kinds/step';
import { WAIVER } from '../kinds/waiver';
import { HAPPENINGS, LASTS_MONTHS } from '../tables/happenings';
import type { Happening } from '../tables/happenings';
import type { Applied } from './applied';
import { correctionTrouble } from './corrections';
import type { Item } from './items';
import { timeOf } from './items';
import type { Release } from './log';
import { applyStep, correctStep, resetRun, stopOrder } from './switching';
import { isElectrician, signs, whyNot } from './people';
import { daysLater, monthsLater, siteDay } from '../../kernel/siteDay';
import { inputsOf, netOf } from './siteModel';
import type { Moment, Reading, Stand } from './state';
import { NO_STAND, partOfKey, standOf } from './state';
import type { Verdicts } from './verdicts';
import { worse } from './verdicts';

/** What the whole replay knows, whatever order it tries. */
export interface Known {
  readonly releases: readonly Release[];
  readonly verdicts: Verdicts;
  readonly entries: ReadonlyMap<string, Entry>;
  /** Null: the survey names no time zone, and nobody can say when a day ends. */
  readonly zone: string | null;
  /** Gates that may lapse at a midnight, by its moment, ms. */
  readonly lapsing: ReadonlyMap<number, Iterable<GateKey>>;
  /** Why entries do not count, by their id: one that does not in any order is named. */
  readonly notes: Map<string, string>;
}

const ROWS: readonly GateRow[] = GATE_TABLE;
/** Gates that go stale when this one opens. */
const DEPENDENTS = new Map<GateId, readonly GateRow[]>(
  ROWS.map((row) => [row.id, ROWS.filter((r) => r.cascade && (r.needs as readonly string[]).includes(row.id))]),
);

/** Why a tick does nothing at a gate; null where it may. */
function byMeasurement(gate: GateId, result: Result): string | null {
  const by = measuring(gate);
  return by && result === 'pass'
    ? `Gate ${gate} closes by its measurement (${by.title.toLowerCase()}), not by a tick.`
    : null;
}

/** A correction with the time of what it corrects. */
const inPlaceOf = (entry: Entry, place: Entry): Entry =>
  entry === place ? entry : { ...entry, doneAt: place.doneAt, device: place.device };

const NO_STRINGS = 'strings on it';
const NO_NET = new GateNet({ inverters: [], busFitted: true, stopFitted: null, contactsFitted: null });

/** One state moved on by one item: the sentences of the record's rules, each in its place. */
export class Application implements Applied {
  #net: GateNet;

  constructor(
    readonly known: Known,
    readonly moment: Moment,
  ) {
    const newest = known.releases[moment.released - 1];
    this.#net = newest ? netOf(newest.design) : NO_NET;
  }

  get newest(): Release | undefined {
    return this.known.releases[this.moment.released - 1];
  }

  item(item: Item): void {
    if (item.release) this.#release(item.release);
    else if (item.tickMs !== null) this.#midnight(item.tickMs);
    else if (item.entry) this.#entry(item.entry);
  }

  closed(gate: GateId, object: string): boolean {
    const row = gateRow(gate);
    if (!applies(row, this.#net.model, object)) return true;
    const { result } = this.moment.stand(gate, object);
    return result === 'pass' || result === 'accepted' || result === 'waived';
  }

  needs(row: GateRow, object: string): Needs {
    return this.#net.needs(row, object);
  }

  /** Gates that a stale proof waits for before it can be made anew. */
  openFor(row: GateRow, object: string): string[] {
    return this.inTheWay(row, object).filter((key) => key !== NO_STRINGS);
  }

  /** Gates in the way of an entry at a moment: its needs, and the safe day where it wants one. */
  inTheWay(row: GateRow, object: string): string[] {
    const { pairs, overNothing } = this.needs(row, object);
    const open: string[] = [];
    for (const [g, o] of pairs) if (!this.closed(g, o)) open.push(gateKey(g, o));
    if (wantsSafeDay(row) && !open.includes('S-SAFE') && !this.closed('S-SAFE', 'site')) open.push('S-SAFE');
    return overNothing ? [...open, NO_STRINGS] : open;
  }

  dayOf(entry: Entry): string {
    const [t, u] = timeOf(entry);
    return siteDay(t + u, this.known.zone ?? 'UTC');
  }

  note(entry: Entry, why: string): void {
    if (!this.known.notes.has(entry.id)) this.known.notes.set(entry.id, why);
  }

  #entry(entry: Entry): void {
    const made = this.known.releases.findIndex((r) => r.letter === entry.release);
    if (made < 0) return this.note(entry, `There is no release ${entry.release} of this site.`);
    if (entry.corrects !== null) return this.#correction(entry);
    if (HAPPENING.is(entry)) return this.#happening(entry.values.what, entry);
    if (ACCEPTANCE.is(entry)) return this.#acceptance(entry, entry.values);
    if (WAIVER.is(entry)) return this.#waiver(entry, entry.values);
    if (STEP.is(entry)) return applyStep(this, entry);
    if (GATE.is(entry)) return this.#tick(entry);
    for (const gate of this.gatesOf(entry)) this.read(entry, gate, this.#said(entry, entry, gate));
  }

  /** Gates that an entry speaks of, at the part it belongs to. */
  gatesOf(entry: Entry): GateId[] {
    const gates = GATE.is(entry) ? [entry.values.gate] : kindOf(entry).gates;
    return gates.filter((gate) => gateRow(gate).scope === entry.subject.scope);
  }

  /** The worst that an entry says of a gate by its own release and every newer one so far. `place` lends it its time. */
  #said(entry: Entry, place: Entry, gate: GateId): Result {
    const said = inPlaceOf(entry, place);
    const own = this.known.releases.find((r) => r.letter === place.release);
    const { newest } = this;
    const by = (release: Release | undefined): Result =>
      release ? this.known.verdicts.says(said, release, gate) : null;
    return newest && newest !== own ? worse(by(own), by(newest)) : by(own);
  }

  #tick(entry: Entry): void {
    if (!GATE.is(entry)) return;
    const { gate, result } = entry.values;
    const row = gateRow(gate);
    if (row.scope !== entry.subject.scope) return this.note(entry, `Gate ${gate} belongs to a ${row.scope}.`);
    const measured = byMeasurement(gate, result);
    if (measured) return this.note(entry, measured);
    this.read(entry, gate, result);
  }

  /** Puts a reading on its gate: upwards only where it could be worked by who may sign, downwards always. */
  read(entry: Entry, gate: GateId, result: Result): void {
    const row = gateRow(gate);
    const object = entry.subject.id;
    const day = this.dayOf(entry);
    const way = this.#notWorkable(row, object);
    const unsigned =
      result === 'pass' || result === 'caution' ? (signs(row, entry, day) ? null : whyNot(row, entry, day)) : null;
    if (result === 'pass' || result === 'caution') {
      const why = unsigned ?? way;
      if (why) this.note(entry, why);
    }
    const reading: Reading = {
      id: entry.id,
      by: entry,
      result,
      made: entry.release,
      workable: way === null,
      signed: unsigned === null,
      broken: this.#changedSince(entry.release, gate, object),
      acceptedBy: null,
    };
    const { readings } = this.moment.stand(gate, object);
    this.#put(row, object, standOf([...readings, reading], null));
    if (gate === 'I-PERMIT' && this.closed(gate, object)) this.moment.putRun(object, { permitLost: false });
  }

  /** Why a gate could not be worked at this moment; null where it could. */
  #notWorkable(row: GateRow, object: string): string | null {
    if (!this.#net.has(row, object)) return `The newest release has no such ${row.scope}.`;
    if (row.id === 'S-SAFE' && this.known.zone === null)
      return 'The survey names no time zone: nobody can say when the day of this safe start ends.';
    const way = this.inTheWay(row, object);
    return way.length ? `Not closed when it was made: ${way.slice(0, 6).join(', ')}.` : null;
  }

  /** Why a reading made on a release is stale at once: an input differs in a newer one. */
  #changedSince(letter: string, gate: GateId, object: string): string | null {
    const from = this.known.releases.findIndex((r) => r.letter === letter);
    const own = this.known.releases[from];
    if (!own) return `release ${letter} is not of this site`;
    for (let i = from + 1; i < this.moment.released; i++) {
      const later = this.known.releases[i];
      if (later && inputsOf(own.design, gate, object) !== inputsOf(later.design, gate, object))
        return `release ${later.letter} changed what it rests on`;
    }
    return null;
  }

  /** Puts a stand in place and lets what rests on the gate follow. */
  #put(row: GateRow, object: string, stand: Stand, lapse = false): void {
    const was = this.closed(row.id, object);
    this.moment.putStand(row.id, object, stand);
    if (was && !this.closed(row.id, object)) this.#opened(row, object, lapse);
  }

  /** A gate that was closed is not any more. */
  #opened(row: GateRow, object: string, lapse = false): void {
    const key = gateKey(row.id, object);
    if (row.id === 'S-SAFE') {
      for (const unit of this.#net.model.inverters) stopOrder(this, unit.id, 'the day is not safe any more');
      return;
    }
    if (row.id === 'I-PERMIT') {
      if (!lapse || !this.moment.run(object).live) this.moment.putRun(object, { permitLost: true });
      stopOrder(this, object, lapse ? 'the permit ended with its day' : 'the permit was withdrawn');
    } else if (row.id !== 'S-HAND') this.break('S-HAND', 'site', `${key} is not closed any more`);
    for (const dependent of DEPENDENTS.get(row.id) ?? [])
      for (const at of this.#restingOn(dependent, row, object))
        this.break(dependent.id, at, `${key} is not closed any more`);
  }

  /** The parts at which a gate rests on another gate at one part. */
  #restingOn(dependent: GateRow, on: GateRow, object: string): readonly string[] {
    if (dependent.scope === on.scope) return [object];
    if (on.scope === 'site') return this.#net.objects(dependent);
    if (on.scope === 'string')
      return [dependent.scope === 'site' ? 'site' : this.#net.unitOf(object)].filter((x) => x !== undefined);
    return dependent.scope === 'string' ? this.#net.stringsOf(object) : ['site'];
  }

  /** Makes the proof of a gate stale: every reading so far, so that none of them comes back by a correction either. */
  break(gate: GateId, object: string, why: string): void {
    const row = gateRow(gate);
    const stand = this.moment.stand(gate, object);
    if (gate === 'I-PERMIT') this.moment.putRun(object, { permitLost: true });
    if (stand.readings.every((r) => r.broken !== null) && (stand.waived === null || stand.waived.broken !== null))
      return;
    const readings = stand.readings.map((r) => (r.broken === null ? { ...r, broken: why } : r));
    const waived = stand.waived && { ...stand.waived, broken: stand.waived.broken ?? why };
    this.#put(row, object, standOf(readings, waived));
  }

  #happening(what: string, entry: Entry): void {
    const happening: Happening | undefined = HAPPENINGS.find((h) => h.what === what);
    if (!happening || happening.scope !== entry.subject.scope)
      return this.note(entry, `${what} happens to a ${happening?.scope ?? 'known part'}.`);
    for (const [gate, object] of this.#withdrawnBy(happening, entry.subject.id)) this.break(gate, object, what);
    if (happening.allThatRests) resetRun(this, entry.subject.id);
  }

  /** Gates that a happening makes stale, each at its part. */
  #withdrawnBy(h: Happening, object: string): [GateId, string][] {
    const named = ROWS.filter(
      (r) =>
        (r.staleOn as readonly string[]).some((s) => (h.staleOn as readonly string[]).includes(s)) ||
        h.withdraws?.includes(r.id),
    );
    const direct = named.flatMap((r) => this.#partsNear(r, h, object).map((o): [GateId, string] => [r.id, o]));
    if (!h.allThatRests) return direct;
    const all = new Map(direct.map((x) => [gateKey(...x), x]));
    for (const [gate, at] of all.values())
      for (const row of ROWS.filter((r) => (r.needs as readonly string[]).includes(gate)))
        for (const o of this.#restingOn(row, gateRow(gate), at)) all.set(gateKey(row.id, o), [row.id, o]);
    return [...all.values()];
  }

  /** Where a gate stands that belongs to the part to which something happened. */
  #partsNear(row: GateRow, h: Happening, object: string): readonly string[] {
    if (row.scope === h.scope) return [object];
    if (row.scope === 'site') return ['site'];
    if (h.scope === 'string') return [this.#net.unitOf(object)].filter((x) => x !== undefined);
    return h.scope === 'inverter' ? this.#net.stringsOf(object) : [];
  }

  #acceptance(entry: Entry, { gate, entryId }: { gate: GateId; entryId: string }): void {
    const row = gateRow(gate);
    if (!isElectrician(entry, this.dayOf(entry)))
      return this.note(entry, 'A caution is accepted by an electrician with a valid licence.');
    if ((entry.reason ?? '').trim().length < REASON_MIN)
      return this.note(entry, `Give a reason of at least ${REASON_MIN} characters.`);
    const stand = this.moment.stand(gate, entry.subject.id);
    const newest = stand.readings.at(-1);
    if (
      row.scope !== entry.subject.scope ||
      !newest ||
      newest.by.id !== entryId ||
      stand.ruling !== newest ||
      newest.result !== 'caution'
    )
      return this.note(entry, `Only the newest reading of ${gate} can be accepted, and only where it is a caution.`);
    this.#put(
      row,
      entry.subject.id,
      standOf([...stand.readings.slice(0, -1), { ...newest, acceptedBy: entry.id }], null),
    );
  }

  #waiver(
    entry: Entry,
    { gate, entryId, reviewDays }: { gate: GateId; entryId: string | null; reviewDays: number },
  ): void {
    const row = gateRow(gate);
    const day = this.dayOf(entry);
    const role = entry.role === 'electrician' && !isElectrician(entry, day) ? 'helper' : entry.role;
    const { waived, why } = judgeWaiver(row, role, entry.reason ?? '', reviewDays);
    if (!waived) return this.note(entry, why);
    const { readings } = this.moment.stand(gate, entry.subject.id);
    const newest = readings.at(-1);
    const fits = entryId === null ? readings.length === 0 : newest?.by.id === entryId && newest.result === 'fail';
    if (row.scope !== entry.subject.scope || !fits)
      return this.note(entry, `A waiver names the newest fail of ${gate}, or a gate that was never tested.`);
    const { pairs, overNothing } = this.needs(row, entry.subject.id);
    const open = row.cascade && (overNothing || pairs.some(([g, o]) => g !== 'S-SAFE' && !this.closed(g, o)));
    const broken = open ? 'its needs were not closed' : this.#changedSince(entry.release, gate, entry.subject.id);
    this.#put(
      row,
      entry.subject.id,
      standOf(readings, {
        by: entry.id,
        of: entryId,
        made: entry.release,
        untilDay: daysLater(day, reviewDays),
        broken,
      }),
    );
  }

  #correction(entry: Entry): void {
    const target = entry.corrects === null ? undefined : this.known.entries.get(entry.corrects);
    const trouble = correctionTrouble(entry, target, this.dayOf(entry));
    if (trouble || !target) return this.note(entry, trouble ?? 'The entry to correct is not on record here.');
    if (STEP.is(entry) && STEP.is(target)) return correctStep(this, entry, target);
    for (const gate of this.gatesOf(entry)) {
      const why = this.#correctReading(entry, target, gate);
      if (why) this.note(entry, why);
    }
  }

  /** Puts a correction in the place of a reading: it refreshes no stale proof and overtakes no later reading. */
  #correctReading(entry: Entry, target: Entry, gate: GateId): string | null {
    const row = gateRow(gate);
    const object = entry.subject.id;
    const { readings } = this.moment.stand(gate, object);
    const at = readings.findIndex((r) => r.by.id === target.id);
    const old = readings[at];
    if (!old)
      return readings.some((r) => r.id === target.id)
        ? 'That entry has been corrected already: correct the newer one.'
        : null;
    const measured = GATE.is(entry) && byMeasurement(gate, entry.values.result);
    if (measured) return measured;
    const place = this.known.entries.get(old.id) ?? target;
    const said = GATE.is(entry) ? entry.values.result : this.#said(entry, place, gate);
    const raises = worse(old.result, said) === old.result && old.result !== said;
    const day = this.dayOf(entry);
    if (raises && !signs(row, entry, day)) return whyNot(row, entry, day);
    const next = { ...old, by: entry, result: said, acceptedBy: null, signed: raises || old.signed };
    this.#put(row, object, standOf([...readings.slice(0, at), next, ...readings.slice(at + 1)], null));
    return null;
  }

  /** The reading of the step on grid, in the place of the one it corrects. */
  replaceOnGrid(entry: Entry, target: Entry, result: Result): void {
    const unit = entry.subject.id;
    const { readings } = this.moment.stand('I-ONGRID', unit);
    const next = readings.map((r) => (r.by.id === target.id ? { ...r, by: entry, result } : r));
    this.#put(gateRow('I-ONGRID'), unit, standOf(next, null));
  }

  /** Makes everything at these parts stale and stops their orders: nobody can say in which order it was done. `live`: units that may be on. */
  leaveOpen(parts: Iterable<string>, why: string, live: ReadonlySet<string>): void {
    for (const key of [...parts]) {
      const object = key.slice(2);
      for (const gate of this.moment.part(key).gates.keys()) this.break(gate, object, why);
      if (!key.startsWith('I@')) continue;
      stopOrder(this, object, why);
      if (live.has(object)) this.moment.putRun(object, { live: true, permitLost: true });
    }
  }

  /** Something lapses: the day's safe start and permits, waivers after their review, proofs that last so long. */
  #midnight(atMs: number): void {
    const today = siteDay(atMs, this.known.zone ?? 'UTC');
    for (const key of this.known.lapsing.get(atMs) ?? []) {
      const [gate, object] = partOfKey(key);
      const row = gateRow(gate);
      const stand = this.moment.stand(gate, object);
      if (gate === 'S-SAFE' || gate === 'I-PERMIT') {
        if (stand.readings.length && stand.result !== 'fail') this.#put(row, object, NO_STAND, true);
        continue;
      }
      if (stand.waived && stand.waived.untilDay < today) this.#put(row, object, standOf(stand.readings, null));
      const until = stand.ruling && this.#untilDay(gate, stand.ruling);
      if (until && until < today) this.break(gate, object, `it held until ${until}`);
    }
  }

  /** Last day of what a reading proves, where it or its gate says so. */
  #untilDay(gate: GateId, r: Reading): string | null {
    const months = LASTS_MONTHS[gate];
    const own = r.result === 'fail' ? null : kindOf(r.by).untilDay?.(r.by.values);
    return months === undefined ? (own ?? null) : monthsLater(this.dayOf(r.by), months);
  }

  /** A newer release: what rests on an input that changed is stale, and what it judges worse counts as worse. */
  #release(release: Release): void {
    this.moment.released = this.known.releases.findIndex((r) => r.letter === release.letter) + 1;
    const after = new Application(this.known, this.moment);
    for (const row of ROWS)
      for (const object of after.#net.objects(row)) {
        const was = this.#net.has(row, object) && this.closed(row.id, object);
        after.#followRelease(row, object, release);
        if (was && !after.closed(row.id, object)) after.#opened(row, object);
      }
    after.#cascadeAll();
    if (after.needs(gateRow('S-HAND'), 'site').pairs.some(([g, o]) => !after.closed(g, o)))
      after.break('S-HAND', 'site', `release ${release.letter} opened a gate`);
    this.#net = after.#net;
  }

  /** A second one on a state of its own. */
  fork(): Application {
    return new Application(this.known, this.moment.fork());
  }

  #followRelease(row: GateRow, object: string, release: Release): void {
    const { readings, ruling, waived } = this.moment.stand(row.id, object);
    if (readings.length === 0 && !waived) return;
    const now = readings.map((r): Reading => {
      const broken = r.broken ?? this.#changedSince(r.made, row.id, object);
      const again = r === ruling && !GATE.is(r.by) && !STEP.is(r.by);
      const result = again ? worse(r.result, this.#judged(r, release, row.id)) : r.result;
      return broken === r.broken && result === r.result ? r : { ...r, broken, result };
    });
    const still = waived && { ...waived, broken: waived.broken ?? this.#changedSince(waived.made, row.id, object) };
    if (still?.broken === waived?.broken && now.every((r, i) => r === readings[i])) return;
    this.#put(row, object, standOf(now, still));
    if (row.id === 'I-PERMIT' && now.some((r) => r.broken !== null)) this.moment.putRun(object, { permitLost: true });
  }

  /** What a reading says by another release, in its own place. */
  #judged(r: Reading, release: Release, gate: GateId): Result {
    const place = this.known.entries.get(r.id) ?? r.by;
    return this.known.verdicts.says(inPlaceOf(r.by, place), release, gate);
  }

  /** After parts came or went: every proof whose needs do not all stand is stale. */
  #cascadeAll(): void {
    for (const row of [...ROWS].sort((a, b) => a.level - b.level))
      if (row.cascade)
        for (const object of this.#net.objects(row)) {
          const stand = this.moment.stand(row.id, object);
          if (stand.readings.length === 0 && !stand.waived) continue;
          const { pairs, overNothing } = this.needs(row, object);
          const open = pairs.filter(([g, o]) => g !== 'S-SAFE' && !this.closed(g, o)).map(([g, o]) => gateKey(g, o));
          if (open.length || overNothing) this.break(row.id, object, `${open[0] ?? 'a string'} is not closed any more`);
        }
  }
}
