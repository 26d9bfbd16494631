import { GATE_TABLE } from './table';

/** The gates that stand between a wired site and a running one: which is open, which locked, which went stale. */

export type GateId = (typeof GATE_TABLE)[number]['id'];
export type GateRow = (typeof GATE_TABLE)[number];
export type Role = 'designer' | 'lead' | 'electrician' | 'helper' | 'reader';
export const ROLES: readonly Role[] = ['designer', 'lead', 'electrician', 'helper', 'reader'];

/** What the record says of a gate. A split or a reading that proves nothing leaves none. */
export type GateResult = 'pass' | 'fail' | 'caution' | 'accepted' | 'waived' | 'stale';
export type GateState = 'n/a' | 'failed' | 'stale' | 'caution' | 'passed' | 'accepted' | 'waived' | 'open' | 'locked';

/** The site as the gates see it. `null` for a fitted device means nobody has looked, and its gates apply. */
export interface GateModel {
  readonly inverters: readonly { readonly id: string; readonly strings: readonly string[] }[];
  readonly busFitted: boolean;
  readonly rcdFitted: boolean | null;
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

function applies(row: GateRow, model: GateModel): boolean {
  switch (row.applies) {
    case 'always':
      return true;
    case 'bus fitted':
      return model.busFitted;
    case 'rcd fitted':
      return model.rcdFitted !== false;
    case 'stop fitted':
      return model.stopFitted !== false;
    case 'contacts fitted':
      return model.contactsFitted !== false;
    default:
      return false; // battery gates: no battery in a design yet
  }
}

function objectsOf(row: GateRow, model: GateModel): string[] {
  if (row.scope === 'site') return ['site'];
  if (row.scope === 'inverter') return model.inverters.map((i) => i.id);
  return row.scope === 'string' ? model.inverters.flatMap((i) => [...i.strings]) : [];
}

/**
 * The state of every gate. A join over no strings is not closed. The daily S-SAFE makes nothing stale; while it is not closed,
 * open gates with hands or live work and the permit are locked. Hand-over waits for every gate but S-SAFE and I-PERMIT.
 */
export function gateStates(model: GateModel, results: ReadonlyMap<GateKey, GateResult>): Map<GateKey, GateView> {
  const inverterOf = new Map(model.inverters.flatMap((i) => i.strings.map((s) => [s, i.id] as const)));
  const stringsOf = new Map(model.inverters.map((i) => [i.id, i.strings]));
  const views = new Map<GateKey, GateView>();

  /** The gates on which this one waits, or null where the join is over nothing. */
  function needKeys(row: GateRow, object: string, need: GateId): GateKey[] | null {
    const needed = gateRow(need);
    if (!applies(needed, model)) return [];
    const all = objectsOf(needed, model);
    if (needed.scope === 'site') return [gateKey(need, 'site')];
    if (row.scope === 'site') return all.length ? all.map((o) => gateKey(need, o)) : null;
    if (row.scope === needed.scope) return [gateKey(need, object)];
    if (needed.scope === 'inverter') return [gateKey(need, inverterOf.get(object) ?? object)];
    const own = stringsOf.get(object) ?? [];
    return own.length ? own.map((o) => gateKey(need, o)) : null;
  }

  function needsOf(row: GateRow, object: string): { keys: GateKey[]; overNothing: boolean } {
    const ids: readonly GateId[] =
      row.id === 'S-HAND'
        ? GATE_TABLE.map((r) => r.id).filter((id) => !['S-HAND', 'S-SAFE', 'I-PERMIT'].includes(id))
        : (row.needs as readonly GateId[]);
    const joins = ids.map((need) => needKeys(row, object, need));
    return { keys: joins.flatMap((j) => j ?? []), overNothing: joins.includes(null) };
  }

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
    if (!applies(row, model)) return { state: 'n/a', waitsFor: [] };
    if (result === 'fail') return { state: 'failed', waitsFor: [] };
    if (result === 'stale') return { state: 'stale', waitsFor: [] };
    if (result === 'caution') return { state: 'caution', waitsFor: [] };
    const { keys, overNothing } = needsOf(row, object);
    const notClosed = keys.filter((k) => !isClosed(viewOf(k).state));
    if (result) {
      const broken = row.cascade ? notClosed.filter((k) => k !== 'S-SAFE') : [];
      if (broken.length || (row.cascade && overNothing)) return { state: 'stale', waitsFor: broken };
      return { state: result === 'pass' ? 'passed' : result, waitsFor: [] };
    }
    const handsOff =
      row.id !== 'S-SAFE' && (row.zone !== 'none' || row.id === 'I-PERMIT') && !isClosed(viewOf('S-SAFE').state);
    const waitsFor = [...new Set([...notClosed, ...(handsOff ? ['S-SAFE'] : [])])];
    return { state: waitsFor.length || overNothing ? 'locked' : 'open', waitsFor };
  }

  for (const row of GATE_TABLE) for (const object of objectsOf(row, model)) view(row, object);
  return views;
}

/** Who may sign a gate: electrician gates the electrician alone; lead gates the lead or the electrician; helper gates these three. */
export function maySign(gate: GateRow, role: Role): boolean {
  if (gate.signer === 'electrician') return role === 'electrician';
  return role === 'electrician' || role === 'lead' || (gate.signer === 'helper' && role === 'helper');
}

/** Shortest reason that says something, characters. */
const REASON_MIN = 15;
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
