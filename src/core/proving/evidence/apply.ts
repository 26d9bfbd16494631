import { withArticle } from '../../kernel/words';
import type { Entry } from '../entry';
import type { GateId, GateRow } from '../gates/machine';
import { gateKey, gateRow, wantsSafeDay } from '../gates/machine';
import { GateNet } from '../gates/net';
import type { Needs } from '../gates/net';
import type { Result } from '../kind';
import { worse } from '../judging';
import { kindOf } from '../kinds';
import { ACCEPTANCE } from '../kinds/acceptance';
import { GATE } from '../kinds/gate';
import { HAPPENING } from '../kinds/happening';
import { SIGNATURE } from '../kinds/signature';
import { STEP } from '../kinds/step';
import { WAIVER } from '../kinds/waiver';
import type { Applied, Known } from './applied';
import type { Item } from './items';
import { dayEnded } from './lapses';
import type { Release } from './log';
import { changedSince, released, saidInPlace } from './newRelease';
import { signs, whyNot } from './people';
import { accepted, byMeasurement, corrected, gatesOf, signedUnder, waived } from './said';
import { netOf } from './siteModel';
import type { Moment } from './state';
import { isProved, standOf } from './state';
import { applyStep } from './switching';
import { happened, put, withdraw } from './withdraw';

const NO_STRINGS = 'strings on it';
const NO_GATES: readonly GateId[] = [];
const NO_NET = new GateNet({
  inverters: [],
  busFitted: true,
  stopFitted: null,
  contactsFitted: null,
  rapidShutdown: false,
});

/** One state moved on by one item: each sentence of the record's rules has its place here or beside. */
export class Application implements Applied {
  net: GateNet;

  constructor(
    readonly known: Known,
    readonly moment: Moment,
  ) {
    this.net = this.newest ? netOf(this.newest.design) : NO_NET;
  }

  /** A second one on a state of its own; `known`: where more is known by now. */
  fork(known = this.known): Application {
    return new Application(known, this.moment.fork());
  }

  get newest(): Release | undefined {
    return this.known.releases[this.moment.released - 1];
  }

  item(item: Item): void {
    if (item.entry) {
      this.known.times.tell(item.entry, item.atMs, item.uncertainMs);
      this.#entry(item.entry);
    } else if (item.release) this.#release(item.release);
    else if (item.tickMs !== null) dayEnded(this, item.tickMs);
  }

  closed(gate: GateId, object: string): boolean {
    return isProved(this.moment.stand(gate, object)) || !this.net.applies(gateRow(gate), object);
  }

  needs(row: GateRow, object: string): Needs {
    return this.net.needs(row, object);
  }

  /** Gates that a stale proof waits for before it can be made anew. */
  openFor(row: GateRow, object: string): string[] {
    return this.#inTheWay(row, object).filter((key) => key !== NO_STRINGS);
  }

  /** Gates in the way of an entry at a moment: its needs, and the safe day where it wants one. */
  #inTheWay(row: GateRow, object: string): string[] {
    const { gates, overNothing } = this.needs(row, object);
    const open: string[] = [];
    for (const n of gates) if (!this.closed(n.gate, n.object)) open.push(gateKey(n.gate, n.object));
    if (wantsSafeDay(row) && !open.includes('S-SAFE') && !this.closed('S-SAFE', 'site')) open.push('S-SAFE');
    return overNothing ? [...open, NO_STRINGS] : open;
  }

  dayOf(entry: Entry): string {
    return this.known.times.of(entry).day;
  }

  note(entry: Entry, why: string): void {
    if (!this.known.notes.has(entry.id)) this.known.notes.set(entry.id, why);
  }

  #entry(entry: Entry): void {
    if (!this.#releaseOf(entry)) return this.note(entry, `There is no release ${entry.release} of this site.`);
    if (entry.corrects !== null) return corrected(this, entry, entry.corrects);
    if (GATE.is(entry)) return this.#tick(entry, entry.values.gate, entry.values.result);
    if (HAPPENING.is(entry)) return happened(this, entry, entry.values.what);
    if (ACCEPTANCE.is(entry)) return accepted(this, entry, entry.values.gate, entry.values.entryId);
    if (WAIVER.is(entry)) return waived(this, entry, entry.values);
    if (STEP.is(entry)) return applyStep(this, entry);
    if (SIGNATURE.is(entry)) return signedUnder(this, entry);
    const { title, opens = NO_GATES } = kindOf(entry);
    for (const gate of gatesOf(entry)) this.read(entry, gate, this.said(entry, entry, gate));
    for (const gate of opens)
      if (this.said(entry, entry, gate) === 'fail') withdraw(this, gate, entry.subject.id, `${title}: failed`);
  }

  said(entry: Entry, place: Entry, gate: GateId): Result {
    const own = this.#releaseOf(place);
    const { newest } = this;
    const says = own ? saidInPlace(this.known, entry, place, own, gate) : null;
    return newest && newest !== own ? worse(says, saidInPlace(this.known, entry, place, newest, gate)) : says;
  }

  #releaseOf(entry: Entry): Release | undefined {
    for (const r of this.known.releases) if (r.letter === entry.release) return r;
    return undefined;
  }

  #tick(entry: Entry, gate: GateId, result: Result): void {
    const row = gateRow(gate);
    if (row.scope !== entry.subject.scope)
      return this.note(entry, `Gate ${gate} belongs to ${withArticle(row.scope)}.`);
    const measured = byMeasurement(gate, result);
    if (measured) return this.note(entry, measured);
    this.read(entry, gate, result);
  }

  /** Puts a reading on its gate: upwards only where it could be worked by who may sign, downwards always. */
  read(entry: Entry, gate: GateId, result: Result): void {
    const row = gateRow(gate);
    const object = entry.subject.id;
    const day = this.dayOf(entry);
    const upwards = result === 'pass' || result === 'caution';
    const way = this.#notWorkable(row, object);
    const unsigned = upwards && !signs(row, entry, day) ? whyNot(row, entry, day) : null;
    const why = unsigned ?? way;
    if (upwards && why) this.note(entry, why);
    const reading = {
      place: entry,
      by: entry,
      result,
      made: entry.release,
      workable: way === null,
      signed: unsigned === null,
      broken: changedSince(this, entry.release, gate, object),
      acceptedBy: null,
    };
    const { readings } = this.moment.stand(gate, object);
    put(this, row, object, standOf([...readings, reading], null));
    if (gate === 'I-PERMIT' && this.closed(gate, object)) this.moment.putRun(object, { permitLost: false });
  }

  /** Why a gate could not be worked at this moment; null where it could. */
  #notWorkable(row: GateRow, object: string): string | null {
    if (!this.net.has(row, object)) return `The newest release has no such ${row.scope}.`;
    if (row.id === 'S-SAFE' && this.known.zone === null)
      return 'The survey names no time zone: nobody can say when the day of this safe start ends.';
    const way = this.#inTheWay(row, object);
    return way.length ? `Not closed when it was made: ${way.slice(0, 6).join(', ')}.` : null;
  }

  #release(release: Release): void {
    this.moment.released = this.known.releases.findIndex((r) => r.letter === release.letter) + 1;
    this.net = this.newest ? netOf(this.newest.design) : NO_NET;
    released(this, release);
  }
}
