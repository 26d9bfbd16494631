import type { Role } from '../entry';
import { GATE_TABLE } from './table';

/** The gates that stand between a wired site and a running one: which is open, which locked, which went stale. */

export type GateId = (typeof GATE_TABLE)[number]['id'];
export type GateRow = (typeof GATE_TABLE)[number];

/** What the record says of a gate. A split or a reading that proves nothing leaves none. */
export type GateResult = 'pass' | 'fail' | 'caution' | 'accepted' | 'waived' | 'stale';
export type GateState = 'n/a' | 'failed' | 'stale' | 'caution' | 'passed' | 'accepted' | 'waived' | 'open' | 'locked';

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
}

/** `I-TORQ@inv-3`; the site's own gates hang on `site`. */
export type GateKey = string;
export const gateKey = (gate: GateId, object: string): GateKey => (gate.startsWith('S-') ? gate : `${gate}@${object}`);

export interface GateView {
  readonly gate: GateRow;
  readonly object: string;
  readonly state: GateState;
  /** Gates that must close first, when locked or stale by cascade. */
  readonly waitsFor: readonly GateKey[];
}

const ROWS = new Map<GateId, GateRow>(GATE_TABLE.map((row) => [row.id, row]));
const CLOSED: ReadonlySet<GateState> = new Set(['passed', 'accepted', 'waived', 'n/a']);

export const gateRow = (id: GateId): GateRow => {
  const row = ROWS.get(id);
  if (!row) throw new RangeError(`gate must be one of the table (got ${id})`);
  return row;
};
export const isClosed = (state: GateState): boolean => CLOSED.has(state);

/** Whether a gate stands in the way of a part at all; one whose device nobody has looked for does. */
export function applies(row: GateRow, model: GateModel, object: string): boolean {
  switch (row.applies) {
    case 'always':
      return true;
    case 'bus fitted':
      return model.busFitted;
    case 'rcd fitted':
      return model.inverters.find((i) => i.id === object)?.rcdFitted !== false;
    case 'stop fitted':
      return model.stopFitted !== false;
    case 'contacts fitted':
      return model.contactsFitted !== false;
    default:
      return false; // battery gates: no battery in a design yet
  }
}

/** The parts a gate stands at. */
function objectsOf(row: GateRow, model: GateModel): string[] {
  if (row.scope === 'site') return ['site'];
  if (row.scope === 'inverter') return model.inverters.map((i) => i.id);
  return row.scope === 'string' ? model.inverters.flatMap((i) => [...i.strings]) : [];
}

/** The gates on which one waits. `overNothing`: a join over no strings, which is not closed. */
export interface Needs {
  readonly keys: readonly GateKey[];
  /** The same, each as its gate and part. */
  readonly pairs: readonly (readonly [GateId, string])[];
  readonly overNothing: boolean;
}

/** Gates that hand-over does not wait for: they hold for a day. */
const DAILY: readonly string[] = ['S-SAFE', 'I-PERMIT'];
const HAND_OVER_NEEDS = GATE_TABLE.map((r) => r.id).filter((id) => id !== 'S-HAND' && !DAILY.includes(id));

/** Who waits for whom on one site: asked once for each gate and part. */
export class GateNet {
  readonly #unitOf: ReadonlyMap<string, string>;
  readonly #stringsOf: ReadonlyMap<string, readonly string[]>;
  readonly #objects = new Map<GateId, readonly string[]>();
  readonly #needs = new Map<GateId, Map<string, Needs>>();

  constructor(readonly model: GateModel) {
    this.#unitOf = new Map(model.inverters.flatMap((i) => i.strings.map((s) => [s, i.id] as const)));
    this.#stringsOf = new Map(model.inverters.map((i) => [i.id, i.strings]));
  }

  objects(row: GateRow): readonly string[] {
    const known = this.#objects.get(row.id) ?? objectsOf(row, this.model);
    this.#objects.set(row.id, known);
    return known;
  }

  unitOf(string: string): string | undefined {
    return this.#unitOf.get(string);
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
    const joins = ids.map((need) => this.#join(row, object, gateRow(need)));
    const pairs = joins.flatMap((j) => j ?? []);
    const made = { pairs, keys: pairs.map(([g, o]) => gateKey(g, o)), overNothing: joins.includes(null) };
    of.set(object, made);
    return made;
  }

  /** The gates on which this one waits by one of its needs, or null where the join is over nothing. */
  #join(row: GateRow, object: string, needed: GateRow): (readonly [GateId, string])[] | null {
    const standing = (objects: readonly string[]) =>
      objects.filter((o) => applies(needed, this.model, o)).map((o) => [needed.id, o] as const);
    if (needed.applies === 'battery' || needed.applies === 'battery, 2+ racks') return [];
    if (needed.scope === 'site') return standing(['site']);
    if (row.scope === 'site') return this.objects(needed).length ? standing(this.objects(needed)) : null;
    if (row.scope === needed.scope) return standing([object]);
    if (needed.scope === 'inverter') return standing([this.unitOf(object) ?? object]);
    const own = this.stringsOf(object);
    return own.length ? standing(own) : null;
  }
}

/** Whether a gate may be worked only on a day that was made safe: hands, live, the permit, and the tag that begins a string. */
export const wantsSafeDay = (row: GateRow): boolean =>
  row.id !== 'S-SAFE' && (row.zone !== 'none' || row.id === 'I-PERMIT' || row.id === 'D-ID');

/**
 * The state of every gate, as one moment shows it. A join over no strings is not closed. The daily S-SAFE makes nothing stale; while it is
 * not closed, open gates with hands or live work and the permit are locked. Hand-over waits for every gate but S-SAFE and I-PERMIT.
 */
export function gateStates(
  model: GateModel,
  results: ReadonlyMap<GateKey, GateResult>,
  net = new GateNet(model),
): Map<GateKey, GateView> {
  const views = new Map<GateKey, GateView>();

  function view(row: GateRow, object: string): GateView {
    const key = gateKey(row.id, object);
    const known = views.get(key);
    if (known) return known;
    const made = { gate: row, object, ...stateOf(row, object, key) };
    views.set(key, made);
    return made;
  }

  const viewOf = (key: GateKey): GateView => {
    const [id, object = 'site'] = key.split('@') as [GateId, string?];
    return view(gateRow(id), object);
  };

  function stateOf(row: GateRow, object: string, key: GateKey): { state: GateState; waitsFor: GateKey[] } {
    const result = results.get(key);
    if (!applies(row, model, object)) return { state: 'n/a', waitsFor: [] };
    if (result === 'fail') return { state: 'failed', waitsFor: [] };
    if (result === 'stale') return { state: 'stale', waitsFor: [] };
    if (result === 'caution') return { state: 'caution', waitsFor: [] };
    const { keys, overNothing } = net.needs(row, object);
    const notClosed = keys.filter((k) => !isClosed(viewOf(k).state));
    if (result) {
      const broken = row.cascade ? notClosed.filter((k) => k !== 'S-SAFE') : [];
      if (broken.length || (row.cascade && overNothing)) return { state: 'stale', waitsFor: broken };
      return { state: result === 'pass' ? 'passed' : result, waitsFor: [] };
    }
    const handsOff = wantsSafeDay(row) && row.id !== 'D-ID' && !isClosed(viewOf('S-SAFE').state);
    const waitsFor = [...new Set([...notClosed, ...(handsOff ? ['S-SAFE'] : [])])];
    return { state: waitsFor.length || overNothing ? 'locked' : 'open', waitsFor };
  }

  for (const row of GATE_TABLE) for (const object of net.objects(row)) view(row, object);
  return views;
}

/** Helper below lead below electrician; designers and readers sign nothing. */
const RANK: Readonly<Record<Role, number>> = { designer: 0, reader: 0, helper: 1, lead: 2, electrician: 3 };
export const rankOf = (role: Role): number => RANK[role];

/** Who may sign a gate: electrician gates the electrician alone; lead gates the lead or the electrician; helper gates these three. */
export const maySign = (gate: GateRow, role: Role): boolean => RANK[role] >= RANK[gate.signer];

/** Shortest reason that says something, characters. */
export const REASON_MIN = 15;
const REVIEW_DAYS_MAX = 90;

/** Whether a waiver stands; otherwise why not. Gates marked never cannot be waived by anybody. */
export function judgeWaiver(
  gate: GateRow,
  role: Role,
  reason: string,
  reviewDays: number,
): { waived: boolean; why: string } {
  if (gate.waiver === 'never') return { waived: false, why: `${gate.id} can never be waived: it has to be proved.` };
  const allowed = gate.waiver === 'electrician' ? role === 'electrician' : role === 'lead' || role === 'electrician';
  if (!allowed)
    return {
      waived: false,
      why: `Only a ${gate.waiver === 'electrician' ? 'electrician' : 'lead or electrician'} may waive ${gate.id}.`,
    };
  if (reason.trim().length < REASON_MIN)
    return { waived: false, why: `Give a reason of at least ${REASON_MIN} characters.` };
  if (!(reviewDays >= 1 && reviewDays <= REVIEW_DAYS_MAX))
    return { waived: false, why: `Review within 1 to ${REVIEW_DAYS_MAX} days (got ${reviewDays}).` };
  return { waived: true, why: `waived until reviewed in ${reviewDays} days` };
}
