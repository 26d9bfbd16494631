import type { Check } from '../kernel/check';
import type { Entry, Scope } from './entry';
import type { Application, Known } from './evidence/apply';
import { correctionTrouble } from './evidence/corrections';
import { chainsOf, timeOf } from './evidence/items';
import type { Release, SiteLog } from './evidence/log';
import { Replay } from './evidence/replay';
import { dayEndMs, dayStartMs, daysLater, monthsLater, siteDay } from '../kernel/siteDay';
import { netOf } from './evidence/siteModel';
import type { Moment, Reading, Run } from './evidence/state';
import { partOfKey } from './evidence/state';
import { guardsLost, nextState, stepAbout } from './evidence/switching';
import { Verdicts } from './evidence/verdicts';
import type { GateId, GateKey, GateResult, GateState, GateView } from './gates/machine';
import { gateKey, gateRow, gateStates, isClosed } from './gates/machine';
import type { Judgement } from './kind';
import { kindOf } from './kinds';
import { GATE } from './kinds/gate';
import { WAIVER } from './kinds/waiver';
import type { StepAbout } from './order/stepReadings';
import type { OrderName, StepState } from './tables/energiseOrders';
import { LASTS_MONTHS } from './tables/happenings';

/** A gate as every possible order of the work leaves it: the worst of them. */
export interface GateProof extends GateView {
  /** Why it is not closed, or what withdrew it, in words. */
  readonly why: string | null;
  /** The entry whose reading rules; null where none does. */
  readonly by: Entry | null;
}

/** A unit in switching: the worst that any possible order of the work allows. */
export interface UnitProof {
  readonly run: Run;
  /** The unit runs and its permit does not stand behind it: switch it off until it is proved. */
  readonly switchOff: boolean;
  readonly why: readonly string[];
}

/** The next step of an order with what stands in its way. */
export interface NextStep {
  readonly state: StepState;
  /** What re-opens it, in words; empty where only its reading and its wait are left. */
  readonly lost: readonly string[];
  readonly about: StepAbout;
}

/** Worst first: what is not closed in one order is not closed. */
const WORST: readonly GateState[] = [
  'failed',
  'stale',
  'caution',
  'locked',
  'open',
  'waived',
  'accepted',
  'passed',
  'n/a',
];

/** What the record of a site proves at a moment, from its releases and entries alone: whatever order they arrived in. */
export class Evidence {
  /** Entries once each, whatever order they came in. */
  readonly entries: readonly Entry[];
  readonly #states: readonly Application[];
  readonly #known: Known;
  readonly #verdicts: Verdicts;
  readonly zone: string | null;
  #gates: ReadonlyMap<GateKey, GateProof> | null = null;

  constructor(
    readonly log: SiteLog,
    readonly nowMs: number,
  ) {
    const byId = new Map(log.entries.map((e) => [e.id, e]));
    this.entries = [...byId.values()];
    this.zone = log.releases.at(-1)?.design.survey.timeZone ?? null;
    const zone = this.zone ?? 'UTC';
    this.#verdicts = new Verdicts(uncorrected(this.entries, byId, zone), zone);
    const lapsing = lapses(this.entries, zone, nowMs);
    this.#known = {
      releases: log.releases,
      verdicts: this.#verdicts,
      entries: byId,
      zone: this.zone,
      lapsing,
      notes: new Map(),
    };
    const chains = chainsOf(this.entries, log.releases, [...lapsing.keys()]);
    this.#states = new Replay(this.#known, chains, unitsIn(log.releases)).run();
  }

  get newest(): Release | undefined {
    return this.log.releases.at(-1);
  }

  /** Until when it stays as it is without a new entry: the end of the site's day, ms. */
  get untilMs(): number {
    return dayEndMs(this.nowMs, this.zone ?? 'UTC');
  }

  /** The site's day, YYYY-MM-DD. */
  get today(): string {
    return siteDay(this.nowMs, this.zone ?? 'UTC');
  }

  /** What an entry says, held against the release it was made on. */
  judgement(entry: Entry): Judgement {
    const release = this.log.releases.find((r) => r.letter === entry.release);
    return release ? this.#verdicts.of(entry, release) : { checks: [], says: [] };
  }

  /** Checks of every entry that nothing corrects. */
  get checks(): readonly Check[] {
    const corrected = new Set(this.entries.map((e) => e.corrects));
    return this.entries.filter((e) => !corrected.has(e.id)).flatMap((e) => this.judgement(e).checks);
  }

  /** Why entries do not count, by id. */
  get notes(): ReadonlyMap<string, string> {
    return this.#known.notes;
  }

  get gates(): ReadonlyMap<GateKey, GateProof> {
    return (this.#gates ??= this.#allGates());
  }

  gate(gate: GateId, object: string): GateProof | undefined {
    return this.gates.get(gateKey(gate, object));
  }

  closed(gate: GateId, object: string): boolean {
    return isClosed(this.gate(gate, object)?.state ?? 'locked');
  }

  #allGates(): ReadonlyMap<GateKey, GateProof> {
    const design = this.newest?.design;
    if (!design) return new Map();
    const net = netOf(design);
    const views = this.#states.map((s) => gateStates(net.model, resultsOf(s.moment), net));
    const out = new Map<GateKey, GateProof>();
    for (const [key] of views[0] ?? []) {
      let worst: GateView | undefined;
      let at = 0;
      views.forEach((v, i) => {
        const view = v.get(key);
        if (view && (!worst || WORST.indexOf(view.state) < WORST.indexOf(worst.state))) [worst, at] = [view, i];
      });
      if (!worst) continue;
      const ruling = this.#states[at]?.moment.stand(...partOfKey(key)).ruling ?? null;
      const waitsFor =
        worst.state === 'stale' ? (this.#states[at]?.openFor(worst.gate, worst.object) ?? []) : worst.waitsFor;
      out.set(key, {
        ...worst,
        waitsFor,
        by: ruling?.by ?? null,
        why: whyOf(worst, ruling, this.#known.notes, this.#states[at]?.moment, key),
      });
    }
    return out;
  }

  /** The readings on record of a gate, in the order of the work. */
  readings(gate: GateId, object: string): readonly Reading[] {
    return this.#states[0]?.moment.stand(gate, object).readings ?? [];
  }

  unit(id: string): UnitProof {
    const runs = this.#states.map((s) => s.moment.run(id));
    const broken = this.#states.map((app) => (app.moment.run(id).live ? permitTrouble(app, id) : []));
    const worst =
      runs.find((r) => r.stopped !== null) ??
      runs.find((r) => r.done.length === Math.min(...runs.map((x) => x.done.length))) ??
      (runs[0] as Run);
    const why = broken.find((b) => b.length) ?? [];
    return { run: { ...worst, live: runs.some((r) => r.live) }, switchOff: why.length > 0, why };
  }

  /** The next step of an order, permitted only where every possible order of the work permits it; null where the order is over. */
  next(unit: string, order: OrderName): NextStep | null {
    const design = this.newest?.design;
    if (!design) return null;
    const all = this.#states.map((app) => {
      const state = nextState(app.moment.run(unit), order);
      return state ? { state, lost: guardsLost(app, unit, order, state), about: stepAbout(app, unit) } : null;
    });
    const first = all.find((n) => n !== null);
    if (!first?.about) return null;
    const one = all.every((n) => n?.state === first.state);
    const lost = [...new Set(all.flatMap((n) => n?.lost ?? []))];
    return {
      state: first.state,
      about: first.about,
      lost: one ? lost : [...lost, 'the clocks leave open which step is next'],
    };
  }

  /** Units that run without their permit standing behind them. */
  get switchOff(): readonly { readonly unit: string; readonly why: readonly string[] }[] {
    return (this.newest?.design.inverters ?? []).flatMap(({ id }) => {
      const { switchOff, why } = this.unit(id);
      return switchOff ? [{ unit: id, why }] : [];
    });
  }
}

/** What the record proves at a moment: entries and releases of a site, asked once. */
export const evidence = (log: SiteLog, nowMs: number): Evidence => new Evidence(log, nowMs);

function permitTrouble(app: Application, unit: string): string[] {
  const { keys } = app.needs(gateRow('I-PERMIT'), unit);
  const open = keys.filter((key) => !app.closed(...partOfKey(key)));
  const lost = app.moment.run(unit).permitLost ? ['the permit was withdrawn and not given anew'] : [];
  return [...open.map((key) => `${key} is not closed`), ...lost];
}

function resultsOf(state: Moment): Map<GateKey, GateResult> {
  const results = new Map<GateKey, GateResult>();
  for (const [object, part] of state.entries())
    for (const [gate, stand] of part.gates) if (stand.result !== null) results.set(gateKey(gate, object), stand.result);
  return results;
}

function whyOf(
  view: GateView,
  ruling: Reading | null,
  notes: ReadonlyMap<string, string>,
  state: Moment | undefined,
  key: GateKey,
): string | null {
  if (isClosed(view.state)) return null;
  if (view.state === 'stale')
    return (
      ruling?.broken ??
      state?.stand(...partOfKey(key)).waived?.broken ??
      (view.waitsFor[0] ? `${view.waitsFor[0]} is not closed` : null)
    );
  const last = state?.stand(...partOfKey(key)).readings.at(-1);
  if ((view.state === 'open' || view.state === 'locked') && last)
    return notes.get(last.by.id) ?? 'The newest reading proves nothing.';
  return null;
}

/** Entries that nothing puts right, and the newest correction of those that something does: in the place of what it corrects. */
function uncorrected(entries: readonly Entry[], byId: ReadonlyMap<string, Entry>, zone: string): Entry[] {
  const dayOf = (e: Entry) => siteDay(timeOf(e)[0] + timeOf(e)[1], zone);
  const by = new Map<string, Entry>();
  const corrections = entries.filter((e) => e.corrects !== null);
  if (corrections.length === 0) return [...entries];
  for (const c of [...corrections].sort((a, b) => timeOf(a)[0] - timeOf(b)[0] || (a.id < b.id ? -1 : 1))) {
    const target = c.corrects === null ? undefined : byId.get(c.corrects);
    if (target && !by.has(target.id) && correctionTrouble(c, target, dayOf(c)) === null) by.set(target.id, c);
  }
  return entries.flatMap((e): Entry[] => {
    if (e.corrects !== null) return [];
    let last = e;
    for (let next = by.get(last.id); next && next !== e; next = by.get(last.id)) last = next;
    return [last === e ? e : { ...last, id: e.id, doneAt: e.doneAt, device: e.device }];
  });
}

/** No month is shorter, ms. */
const SHORTEST_MONTH_MS = 28 * 86_400_000;

/** Midnights up to now at which something that an entry said lapses, with the gates concerned. */
function lapses(entries: readonly Entry[], zone: string, nowMs: number): Map<number, Set<GateKey>> {
  const found = new Map<number, Set<GateKey>>();
  const at = (ms: number, key: GateKey) => {
    if (ms > nowMs) return;
    const keys = found.get(ms) ?? new Set<GateKey>();
    found.set(ms, keys.add(key));
  };
  const after = (day: string) => dayStartMs(daysLater(day, 1), zone);
  for (const entry of entries) {
    const [t, u] = timeOf(entry);
    for (const gate of spokenOf(entry)) {
      if (gateRow(gate).scope !== entry.subject.scope) continue;
      const key = gateKey(gate, entry.subject.id);
      const months = LASTS_MONTHS[gate];
      if (gate === 'S-SAFE' || gate === 'I-PERMIT') for (const ms of [t - u, t + u]) at(dayEndMs(ms, zone), key);
      if (WAIVER.is(entry))
        for (const ms of [t - u, t + u]) at(after(daysLater(siteDay(ms, zone), entry.values.reviewDays)), key);
      if (months !== undefined && t + u + months * SHORTEST_MONTH_MS <= nowMs)
        for (const ms of [t - u, t + u]) at(after(monthsLater(siteDay(ms, zone), months)), key);
      const untilDay = kindOf(entry).untilDay?.(entry.values);
      if (untilDay !== undefined) at(after(untilDay), key);
    }
  }
  return found;
}

const spokenOf = (entry: Entry): readonly GateId[] =>
  GATE.is(entry) || WAIVER.is(entry) ? [entry.values.gate] : kindOf(entry).gates;

/** Every unit at which a part ever hung: what an entry there can touch. */
function unitsIn(releases: readonly Release[]): (scope: Scope, id: string) => readonly string[] {
  const hung = new Map<string, Set<string>>();
  for (const { design } of releases)
    for (const s of design.strings)
      if (s.place) {
        const units = hung.get(s.id) ?? new Set<string>();
        hung.set(s.id, units.add(s.place.inverterId));
      }
  const known = new Map([...hung].map(([id, units]) => [id, [...units]]));
  return (scope, id) => (scope === 'inverter' ? [id] : (known.get(id) ?? [`alone ${id}`]));
}
