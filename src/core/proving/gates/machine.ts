import type { Role } from '../entry';
import { GATE_TABLE } from './table';

/** The gates that stand between a wired site and a running one: which is open, which locked, which went stale. */

export type GateId = (typeof GATE_TABLE)[number]['id'];
export type GateRow = (typeof GATE_TABLE)[number];

/** What the record says of a gate. A split or a reading that proves nothing leaves none. */
export type GateResult = 'pass' | 'fail' | 'caution' | 'accepted' | 'waived' | 'stale';
export type GateState = 'n/a' | 'failed' | 'stale' | 'caution' | 'passed' | 'accepted' | 'waived' | 'open' | 'locked';

/** `I-TORQ@inv-3`; the site's own gates hang on `site`. */
export type GateKey = string;
export const gateKey = (gate: GateId, object: string): GateKey => (gate.startsWith('S-') ? gate : `${gate}@${object}`);

const ROWS = new Map<GateId, GateRow>(GATE_TABLE.map((row) => [row.id, row]));
const CLOSED: ReadonlySet<GateState> = new Set(['passed', 'accepted', 'waived', 'n/a']);

export const gateRow = (id: GateId): GateRow => {
  const row = ROWS.get(id);
  if (!row) throw new RangeError(`gate must be one of the table (got ${id})`);
  return row;
};
export const isClosed = (state: GateState): boolean => CLOSED.has(state);

/** Whether a gate may be worked only on a day that was made safe: hands, live, the permit, and the tag that begins a string. */
export const wantsSafeDay = (row: GateRow): boolean =>
  row.id !== 'S-SAFE' && (row.zone !== 'none' || row.id === 'I-PERMIT' || row.id === 'D-ID');

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
      why: `Only ${gate.waiver === 'electrician' ? 'an electrician' : 'a lead or electrician'} may waive ${gate.id}.`,
    };
  if (reason.trim().length < REASON_MIN)
    return { waived: false, why: `Give a reason of at least ${REASON_MIN} characters.` };
  if (!(reviewDays >= 1 && reviewDays <= REVIEW_DAYS_MAX))
    return { waived: false, why: `Review within 1 to ${REVIEW_DAYS_MAX} days (got ${reviewDays}).` };
  return { waived: true, why: `waived until reviewed in ${reviewDays} days` };
}
