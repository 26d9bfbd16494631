import type { Entry } from '../entry';
import type { GateId, GateKey, GateResult } from '../gates/machine';
import { GATE_TABLE } from '../gates/table';
import type { Result } from '../kind';
import type { OrderName, StepState } from '../tables/energiseOrders';

/** What is known at one moment of one order of the work. Never changed in place once it is shared: `Moment` copies what it touches. */

/** One reading of a gate, in the place of the work where it was made. */
export interface Reading {
  /** The entry in whose place it stands; `by` is that entry, or the last correction of it. */
  readonly place: Entry;
  readonly by: Entry;
  readonly result: Result;
  /** Letter of the release it was made on. */
  readonly made: string;
  /** Every need was closed when it was made, and the day was safe: upwards it counts only so, and a correction of it too. */
  readonly workable: boolean;
  /** Who said it may. */
  readonly signed: boolean;
  /** What made it stale since: it never comes back by itself. */
  readonly broken: string | null;
  /** The acceptance that names this very reading. */
  readonly acceptedBy: string | null;
}
export interface Waived {
  readonly by: string;
  /** The fail that it names; null: the gate was never tested. */
  readonly of: string | null;
  /** Letter of the release it was given on. */
  readonly made: string;
  /** Last day on which it holds. */
  readonly untilDay: string;
  readonly broken: string | null;
}

/** A gate at a part: its readings in the order of the work, and what they say together. */
export interface Stand {
  readonly readings: readonly Reading[];
  readonly waived: Waived | null;
  readonly result: GateResult | null;
  /** The reading that rules; null where none does. */
  readonly ruling: Reading | null;
}
export const NO_STAND: Stand = { readings: [], waived: null, result: null, ruling: null };

/** Whether nobody ever said anything of a gate. */
export const isUntouched = ({ readings, waived }: Stand): boolean => readings.length === 0 && waived === null;

/** Whether a gate is closed by what is on record there. */
export const isProved = ({ result }: Stand): boolean =>
  result === 'pass' || result === 'accepted' || result === 'waived';

/** What a reading says upwards or downwards: one that does not count proves nothing, a fail always counts. */
const saidBy = (r: Reading): Result => (r.result === 'fail' || (r.workable && r.signed) ? r.result : null);

/** A gate with its readings and its waiver. The newest reading rules; one without result withdraws what was proved and clears no fail. */
export function standOf(readings: readonly Reading[], waived: Waived | null): Stand {
  let ruling: Reading | null = null;
  for (const r of readings) {
    if (saidBy(r) !== null) ruling = r;
    else if (ruling?.result !== 'fail') ruling = null;
  }
  if (waived) return { readings, waived, ruling, result: waived.broken === null ? 'waived' : 'stale' };
  return { readings, waived, ruling, result: ruling && resultOf(ruling) };
}

function resultOf(r: Reading): GateResult {
  if (r.result === 'fail') return 'fail';
  if (r.broken !== null) return 'stale';
  if (r.result === 'caution') return r.acceptedBy === null ? 'caution' : 'accepted';
  return 'pass';
}

/** A step that was confirmed, with its true time. */
export interface StepDone {
  readonly state: StepState;
  readonly id: string;
  readonly atMs: number;
  readonly uncertainMs: number;
}

/** Where a unit stands in switching on and off. */
export interface Run {
  readonly order: OrderName | null;
  readonly done: readonly StepDone[];
  /** Why the order stopped, and with it until the unit is isolated or replaced. */
  readonly stopped: string | null;
  /** Steps of switching off, once begun; those of the last isolation afterwards. */
  readonly off: readonly StepDone[];
  readonly isolating: boolean;
  /** Something was switched on and nobody has proved it dead since. */
  readonly live: boolean;
  /** The permit was withdrawn, or never given: it has to be given anew. Its lapse at midnight is no withdrawal. */
  readonly permitLost: boolean;
}
export const NO_RUN: Run = {
  order: null,
  done: [],
  stopped: null,
  off: [],
  isolating: false,
  live: false,
  permitLost: true,
};

/** Everything about one part: its gates, and for an inverter its switching. Changed in place by the moment that owns it, and by no other. */
export interface PartState {
  /** By the place of the gate among those of its scope; empty where nobody ever said anything. */
  readonly stands: readonly (Stand | undefined)[];
  readonly run: Run;
}
class OwnedPart implements PartState {
  /** The part as a text, once it was asked for; null after every change. */
  text: string | null = null;

  constructor(
    readonly owner: object,
    readonly stands: (Stand | undefined)[],
    public run: Run,
  ) {}
}
const NO_PART: PartState = { stands: [], run: NO_RUN };

/** A part as the state names it: the first letter of its gates and its id. */
export type PartKey = string;
export const partOfKey = (key: GateKey): [GateId, string] => {
  const at = key.indexOf('@');
  return at < 0 ? [key as GateId, 'site'] : [key.slice(0, at) as GateId, key.slice(at + 1)];
};

/** The scopes by the first letter of their gates. */
const LETTERS = ['S', 'I', 'D', 'B'] as const;
const UNITS = LETTERS.indexOf('I');
const scopeNamed = (key: PartKey): number => LETTERS.findIndex((l) => key.startsWith(l));
/** The gates of each scope, in their order. */
const GATES = LETTERS.map((l) => GATE_TABLE.map((r) => r.id).filter((id) => id.startsWith(l)));
/** Where a gate stands: its scope, and its place there. */
const PLACES = new Map(GATES.flatMap((ids, scope) => ids.map((id, place) => [id, { scope, place }] as const)));
const placeOf = (gate: GateId): { readonly scope: number; readonly place: number } => {
  const place = PLACES.get(gate);
  if (!place) throw new RangeError(`gate must be one of the table (got ${gate})`);
  return place;
};

/** The gates of a part of which anything was said. */
export const gatesSaid = (key: PartKey, { stands }: PartState): readonly GateId[] =>
  (GATES[scopeNamed(key)] ?? []).filter((_, place) => stands[place]);

/** Parts of one scope. */
interface Scoped {
  readonly owner: object;
  readonly parts: Map<string, OwnedPart>;
}
/** The state of every part in one order of the work. */
export class Moment {
  readonly #scopes: Scoped[];
  /** What bears this mark is this moment's alone and changed in place; the rest is copied first. */
  #owner = {};
  /** Parts changed since somebody asked to be told. */
  touched: Set<PartKey> | null = null;

  private constructor(
    scopes: Scoped[],
    /** How many releases there are so far. */
    public released: number,
  ) {
    this.#scopes = scopes;
  }

  static blank(): Moment {
    return new Moment(
      LETTERS.map(() => ({ owner: {}, parts: new Map() })),
      0,
    );
  }

  /** A second state from here on: both copy before they change. */
  fork(): Moment {
    this.#owner = {};
    const twin = new Moment([...this.#scopes], this.released);
    twin.touched = this.touched && new Set(this.touched);
    return twin;
  }

  #part(scope: number, object: string): PartState {
    return this.#scopes[scope]?.parts.get(object) ?? NO_PART;
  }

  part(key: PartKey): PartState {
    return this.#part(scopeNamed(key), key.slice(2));
  }

  /** A part to be changed in place. */
  #own(at: number, object: string): OwnedPart {
    this.touched?.add(`${LETTERS[at]}@${object}`);
    let scope = this.#scopes[at] as Scoped;
    if (scope.owner !== this.#owner) this.#scopes[at] = scope = { owner: this.#owner, parts: new Map(scope.parts) };
    const part = scope.parts.get(object);
    if (part?.owner === this.#owner) {
      part.text = null;
      return part;
    }
    const own = new OwnedPart(this.#owner, part ? part.stands.slice() : [], part?.run ?? NO_RUN);
    scope.parts.set(object, own);
    return own;
  }

  stand(gate: GateId, object: string): Stand {
    const { scope, place } = placeOf(gate);
    return this.#part(scope, object).stands[place] ?? NO_STAND;
  }

  putStand(gate: GateId, object: string, stand: Stand): void {
    const { scope, place } = placeOf(gate);
    this.#own(scope, object).stands[place] = stand;
  }

  run(unit: string): Run {
    return this.#part(UNITS, unit).run;
  }

  putRun(unit: string, over: Partial<Run>): void {
    const part = this.#own(UNITS, unit);
    part.run = { ...part.run, ...over };
  }

  /** Units among these parts on which something is switched on. */
  liveUnits(keys: Iterable<PartKey>): string[] {
    return [...keys].filter((key) => this.part(key).run.live).map((key) => key.slice(2));
  }

  /** These parts as one text: two moments with the same text go on alike. */
  text(keys: Iterable<PartKey>): string {
    return [...keys]
      .sort()
      .map((key) => `${key}:${textOf(this.part(key))}`)
      .join('\n');
  }
}

function textOf(part: PartState): string {
  if (!(part instanceof OwnedPart)) return written(part);
  return (part.text ??= written(part));
}

function written({ stands, run }: PartState): string {
  const said = Array.from(
    stands,
    (s) =>
      s && [
        s.readings.map((r) => [r.place.id, r.by.id, r.result, r.workable, r.signed, r.broken !== null, r.acceptedBy]),
        s.waived && [s.waived.by, s.waived.broken !== null],
      ],
  );
  const { order, done, stopped, off, isolating, live, permitLost } = run;
  return JSON.stringify([
    said,
    order,
    done.map((d) => d.id),
    stopped !== null,
    off.map((d) => d.id),
    isolating,
    live,
    permitLost,
  ]);
}
