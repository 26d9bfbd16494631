import type { Entry } from '../entry';
import type { GateId, GateKey, GateResult } from '../gates/machine';
import type { Result } from '../kind';
import type { OrderName, StepState } from '../tables/energiseOrders';

/** What is known at one moment of one order of the work. Never changed in place once it is shared: `Moment` copies what it touches. */

/** One reading of a gate, in the place of the work where it was made. */
export interface Reading {
  /** The entry in whose place it stands; `by` is that entry, or the last correction of it. */
  readonly id: string;
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

/** Everything about one part: its gates, and for an inverter its switching. */
export interface PartState {
  readonly gates: ReadonlyMap<GateId, Stand>;
  readonly run: Run;
}
const NO_PART: PartState = { gates: new Map(), run: NO_RUN };

/** A part as the state names it: the first letter of its gates and its id. */
export type PartKey = string;
export const partOfKey = (key: GateKey): [GateId, string] => {
  const at = key.indexOf('@');
  return at < 0 ? [key as GateId, 'site'] : [key.slice(0, at) as GateId, key.slice(at + 1)];
};

/** Parts of the three scopes, by the first letter of their gates. */
type Parts = Record<string, Map<string, PartState>>;
const LETTERS = ['S', 'I', 'D', 'B'] as const;

/** The state of every part in one order of the work. */
export class Moment {
  #parts: Parts;
  /** Scopes whose map another moment holds as well. */
  #shared: string;
  /** Parts changed since somebody asked to be told. */
  touched: Set<PartKey> | null = null;

  private constructor(
    parts: Parts,
    shared: string,
    /** How many releases there are so far. */
    public released: number,
  ) {
    this.#parts = parts;
    this.#shared = shared;
  }

  static blank(): Moment {
    return new Moment(Object.fromEntries(LETTERS.map((l) => [l, new Map<string, PartState>()])), '', 0);
  }

  /** A second state from here on: both copy before they change. */
  fork(): Moment {
    this.#shared = LETTERS.join('');
    const twin = new Moment({ ...this.#parts }, this.#shared, this.released);
    twin.touched = this.touched && new Set(this.touched);
    return twin;
  }

  #part(letter: string, object: string): PartState {
    return this.#parts[letter]?.get(object) ?? NO_PART;
  }

  part(key: PartKey): PartState {
    return this.#part(key.charAt(0), key.slice(2));
  }

  #put(letter: string, object: string, part: PartState): void {
    let of = this.#parts[letter];
    if (!of || this.#shared.includes(letter)) {
      this.#parts[letter] = of = new Map(of);
      this.#shared = this.#shared.replace(letter, '');
    }
    of.set(object, part);
    this.touched?.add(`${letter}@${object}`);
  }

  stand(gate: GateId, object: string): Stand {
    return this.#part(gate.charAt(0), object).gates.get(gate) ?? NO_STAND;
  }

  putStand(gate: GateId, object: string, stand: Stand): void {
    const letter = gate.charAt(0);
    const part = this.#part(letter, object);
    this.#put(letter, object, { run: part.run, gates: new Map(part.gates).set(gate, stand) });
  }

  run(unit: string): Run {
    return this.#part('I', unit).run;
  }

  putRun(unit: string, over: Partial<Run>): void {
    const part = this.#part('I', unit);
    this.#put('I', unit, { gates: part.gates, run: { ...part.run, ...over } });
  }

  /** Units among these parts on which something is switched on. */
  liveUnits(keys: Iterable<PartKey>): string[] {
    return [...keys].filter((key) => this.part(key).run.live).map((key) => key.slice(2));
  }

  /** Every part by its id, with its gates. */
  *entries(): Iterable<readonly [string, PartState]> {
    for (const of of Object.values(this.#parts)) yield* of;
  }

  /** These parts as one text: two moments with the same text go on alike. */
  text(keys: Iterable<PartKey>): string {
    return [...keys]
      .sort()
      .map((key) => `${key}:${partText(this.part(key))}`)
      .join('\n');
  }
}

const TEXTS = new WeakMap<PartState, string>();
function partText(part: PartState): string {
  const known = TEXTS.get(part);
  if (known !== undefined) return known;
  const { gates, run } = part;
  const stands = [...gates]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([gate, s]) => [
      gate,
      s.readings.map((r) => [r.id, r.by.id, r.result, r.workable, r.signed, r.broken !== null, r.acceptedBy]),
      s.waived && [s.waived.by, s.waived.broken !== null],
    ]);
  const { order, done, stopped, off, isolating, live, permitLost } = run;
  const text = JSON.stringify([
    stands,
    order,
    done.map((d) => d.id),
    stopped !== null,
    off.map((d) => d.id),
    isolating,
    live,
    permitLost,
  ]);
  TEXTS.set(part, text);
  return text;
}
