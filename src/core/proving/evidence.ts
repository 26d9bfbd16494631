import type { Check } from '../kernel/check';
import { siteDay } from '../kernel/siteDay';
import type { Entry } from './entry';
import type { Application } from './evidence/apply';
import type { Release, SiteLog } from './evidence/log';
import type { GateProof } from './evidence/proofs';
import { GateProofs } from './evidence/proofs';
import type { Reading, Run } from './evidence/state';
import { guardsLost, nextState, stepAbout } from './evidence/switching';
import type { Worked } from './evidence/worked';
import { workedThrough } from './evidence/worked';
import type { GateId } from './gates/machine';
import { gateRow, isClosed } from './gates/machine';
import { keyOf } from './gates/net';
import type { Judgement } from './kind';
import type { StepAbout } from './order/stepReadings';
import type { OrderName, StepState } from './tables/energiseOrders';

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

/** What the record of a site proves at a moment, from its releases and entries alone: whatever order they arrived in. */
export class Evidence {
  readonly #states: readonly Application[];
  readonly #worked: Worked;
  #gates: GateProofs | null = null;

  constructor(
    readonly log: SiteLog,
    readonly nowMs: number,
    was?: Evidence,
  ) {
    this.#worked = workedThrough(log, nowMs, was ? was.#worked : null);
    this.#states = this.#worked.replay.states;
  }

  /** Entries once each, whatever order they came in. */
  get entries(): readonly Entry[] {
    return this.#worked.entries;
  }

  entry(id: string): Entry | undefined {
    return this.#worked.known.entries.get(id);
  }

  get zone(): string | null {
    return this.#worked.zone;
  }

  get newest(): Release | undefined {
    return this.log.releases.at(-1);
  }

  /** Until when it stays as it is without a new entry: the end of the site's day, ms. */
  get untilMs(): number {
    return this.#worked.untilMs;
  }

  /** The site's day, YYYY-MM-DD. */
  get today(): string {
    return siteDay(this.nowMs, this.zone ?? 'UTC');
  }

  /** What an entry says, held against the release it was made on. */
  judgement(entry: Entry): Judgement {
    const release = this.log.releases.find((r) => r.letter === entry.release);
    return release ? this.#worked.verdicts.of(entry, release) : { checks: [], says: [] };
  }

  /** Checks of every entry that nothing corrects. */
  get checks(): readonly Check[] {
    const corrected = new Set(this.entries.map((e) => e.corrects));
    return this.entries.filter((e) => !corrected.has(e.id)).flatMap((e) => this.judgement(e).checks);
  }

  /** Why entries do not count, by id. */
  get notes(): ReadonlyMap<string, string> {
    return this.#worked.known.notes;
  }

  /** Every gate of the newest release, in the order of the table. */
  get gates(): GateProofs {
    return (this.#gates ??= new GateProofs(this.#states, this.newest?.design ?? null, this.notes));
  }

  gate(gate: GateId, object: string): GateProof | undefined {
    return this.gates.of(gateRow(gate), object);
  }

  closed(gate: GateId, object: string): boolean {
    return isClosed(this.gate(gate, object)?.state ?? 'locked');
  }

  /** The readings on record of a gate, in the order of the work. */
  readings(gate: GateId, object: string): readonly Reading[] {
    return (this.#states[0] as Application).moment.stand(gate, object).readings;
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

/** What the record proves at a moment: entries and releases of a site, asked once. `was`: what an earlier state of the log proved. */
export const evidence = (log: SiteLog, nowMs: number, was?: Evidence): Evidence => new Evidence(log, nowMs, was);

function permitTrouble(app: Application, unit: string): string[] {
  const { gates } = app.needs(gateRow('I-PERMIT'), unit);
  const open = gates.filter((n) => !app.closed(n.gate, n.object)).map(keyOf);
  const lost = app.moment.run(unit).permitLost ? ['the permit was withdrawn and not given anew'] : [];
  return [...open.map((key) => `${key} is not closed`), ...lost];
}
