import type { GateId, GateKey, GateRow } from './machine';
import { gateKey, gateRow, wantsSafeDay } from './machine';
import { GATE_TABLE } from './table';

/** The site as the gates see it. `null` for a fitted device means nobody has looked, and its gates apply. */
export interface GateModel {
  readonly inverters: readonly {
    readonly id: string;
    readonly strings: readonly string[];
    /** Whether a residual-current device is fitted in its run. */
    readonly rcdFitted: boolean | null;
  }[];
  readonly busFitted: boolean;
  readonly stopFitted: boolean | null;
  readonly contactsFitted: boolean | null;
  /** Whether the school of the site and where it stands ask for rapid shutdown; so they do while nobody has said where. */
  readonly rapidShutdown: boolean;
}

/** A gate at a part. */
export interface GateAt {
  readonly gate: GateId;
  readonly object: string;
}
export const keyOf = ({ gate, object }: GateAt): GateKey => gateKey(gate, object);

/** The gates on which one waits, those among them that do not apply as well. `overNothing`: a join over no strings, which is not closed. */
export interface Needs {
  readonly gates: readonly GateAt[];
  readonly overNothing: boolean;
}

/** A gate at its part. Gates that it waits for by their place in the table of the net. */
export interface Node {
  readonly row: GateRow;
  readonly object: string;
  readonly applies: boolean;
  readonly waitsFor: readonly number[];
  readonly overNothing: boolean;
  /** While it is not signed, an unsafe day locks it. */
  readonly onSafeDays: boolean;
}

/** Gates that hand-over does not wait for: they hold for a day. */
const DAILY: readonly string[] = ['S-SAFE', 'I-PERMIT'];
const ROWS: readonly GateRow[] = GATE_TABLE;
const SITE: readonly string[] = ['site'];
const HAND_OVER_NEEDS = ROWS.map((r) => r.id).filter((id) => id !== 'S-HAND' && !DAILY.includes(id));

/** Who waits for whom on one site: asked once for each gate and part. */
export class GateNet {
  readonly #unitOf: ReadonlyMap<string, string>;
  readonly #stringsOf: ReadonlyMap<string, readonly string[]>;
  /** Inverters in whose run somebody looked and found no residual-current device. */
  readonly #bare: ReadonlySet<string>;
  readonly #objects = new Map<GateId, readonly string[]>();
  readonly #needs = new Map<GateId, Map<string, Needs>>();
  #nodes: readonly Node[] | null = null;
  /** Where the gates of a row begin among the nodes. */
  readonly #begins = new Map<GateId, number>();
  /** Where a part stands among the parts of its scope. */
  readonly #place: ReadonlyMap<GateRow['scope'], ReadonlyMap<string, number>>;

  constructor(readonly model: GateModel) {
    this.#unitOf = new Map(model.inverters.flatMap((i) => i.strings.map((s) => [s, i.id] as const)));
    this.#stringsOf = new Map(model.inverters.map((i) => [i.id, i.strings]));
    this.#bare = new Set(model.inverters.filter((i) => i.rcdFitted === false).map((i) => i.id));
    this.#place = new Map(ROWS.map((row) => [row.scope, new Map(this.objects(row).map((o, i) => [o, i]))]));
    let begins = 0;
    for (const row of ROWS) {
      this.#begins.set(row.id, begins);
      begins += this.objects(row).length;
    }
  }

  /** Whether a gate stands in the way of a part at all; one whose device nobody has looked for does. */
  applies(row: GateRow, object: string): boolean {
    switch (row.applies) {
      case 'always':
        return true;
      case 'bus fitted':
        return this.model.busFitted;
      case 'rcd fitted':
        return !this.#bare.has(object);
      case 'stop fitted':
        return this.model.stopFitted !== false;
      case 'contacts fitted':
        return this.model.contactsFitted !== false;
      case 'rapid shutdown asked for':
        return this.model.rapidShutdown;
      default:
        return false; // battery gates: no battery in a design yet
    }
  }

  /** The parts a gate stands at. */
  objects(row: GateRow): readonly string[] {
    const known = this.#objects.get(row.id) ?? this.#objectsOf(row);
    this.#objects.set(row.id, known);
    return known;
  }

  #objectsOf(row: GateRow): readonly string[] {
    if (row.scope === 'site') return SITE;
    if (row.scope === 'inverter') return this.model.inverters.map((i) => i.id);
    return row.scope === 'string' ? this.model.inverters.flatMap((i) => [...i.strings]) : [];
  }

  /** The unit of a string, as a list: empty where it hangs on nothing. */
  unitsOf(string: string): readonly string[] {
    const unit = this.#unitOf.get(string);
    return unit === undefined ? [] : [unit];
  }

  stringsOf(unit: string): readonly string[] {
    return this.#stringsOf.get(unit) ?? [];
  }

  has(row: GateRow, object: string): boolean {
    if (row.scope === 'site') return object === 'site';
    return row.scope === 'inverter' ? this.#stringsOf.has(object) : this.#unitOf.has(object);
  }

  needs(row: GateRow, object: string): Needs {
    let of = this.#needs.get(row.id);
    if (!of) this.#needs.set(row.id, (of = new Map()));
    const known = of.get(object);
    if (known) return known;
    const ids: readonly GateId[] = row.id === 'S-HAND' ? HAND_OVER_NEEDS : (row.needs as readonly GateId[]);
    const gates: GateAt[] = [];
    let overNothing = false;
    for (const id of ids) {
      const needed = gateRow(id);
      const at = this.#partsNeeded(row, object, needed);
      if (at === null) overNothing = true;
      for (const o of at ?? []) gates.push({ gate: id, object: o });
    }
    const made = { gates, overNothing };
    of.set(object, made);
    return made;
  }

  /** The parts at which a gate is needed, or null where the join is over nothing. */
  #partsNeeded(row: GateRow, object: string, needed: GateRow): readonly string[] | null {
    if (needed.scope === 'rack') return []; // no battery in a design yet
    if (needed.scope === 'site') return SITE;
    if (row.scope === needed.scope) return [object];
    if (row.scope === 'string') return this.unitsOf(object);
    const own = row.scope === 'site' ? this.objects(needed) : this.stringsOf(object);
    return own.length ? own : null;
  }

  /** Every gate at every part, in the order of the table: what one waits for stands before it. */
  get nodes(): readonly Node[] {
    return (this.#nodes ??= ROWS.flatMap((row) => this.objects(row).map((object) => this.#node(row, object))));
  }

  #node(row: GateRow, object: string): Node {
    const { gates, overNothing } = this.needs(row, object);
    return {
      row,
      object,
      applies: this.applies(row, object),
      waitsFor: gates.map((n) => this.placeOf(gateRow(n.gate), n.object) as number),
      overNothing,
      onSafeDays: wantsSafeDay(row),
    };
  }

  /** Where a gate stands among the nodes; undefined where the site has no such part. */
  placeOf(row: GateRow, object: string): number | undefined {
    const place = this.#place.get(row.scope)?.get(object);
    return place === undefined ? undefined : (this.#begins.get(row.id) as number) + place;
  }

  /** Where the safe day stands among the nodes. */
  get safeDay(): number {
    return this.placeOf(gateRow('S-SAFE'), 'site') as number;
  }
}
