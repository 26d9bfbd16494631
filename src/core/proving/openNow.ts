import type { Role } from './entry';
import type { Evidence } from './evidence';
import type { GateProof } from './evidence/proofs';
import type { GateId, GateRow } from './gates/machine';
import { maySign } from './gates/machine';
import { GATE_TABLE } from './gates/table';

/** A gate that can be worked on now, somewhere on the site. */
export interface OpenGate {
  readonly gate: GateRow;
  /** The parts at which it can, in the order of the design. */
  readonly objects: readonly string[];
  /** How many gates of the table wait for it, directly or behind others. */
  readonly unlocks: number;
}

/** Whether a gate waits for nothing but its own work. */
export const canBeWorked = ({ state, waitsFor }: Pick<GateProof, 'state' | 'waitsFor'>): boolean =>
  state === 'open' || state === 'failed' || state === 'caution' || (state === 'stale' && waitsFor.length === 0);

/** What is open on the whole site for somebody of a role, or for anybody: first what the most gates wait for, of equals in the order of the table. */
export function openNow(e: Evidence, role: Role | null): readonly OpenGate[] {
  const open = new Map<GateRow, string[]>();
  for (const [, proof] of e.gates) {
    const { gate, object } = proof;
    if (!canBeWorked(proof) || (role !== null && !maySign(gate, role))) continue;
    const at = open.get(gate) ?? [];
    at.push(object);
    open.set(gate, at);
  }
  return [...open]
    .map(([gate, objects]) => ({ gate, objects, unlocks: WAIT_FOR.get(gate.id)?.size ?? 0 }))
    .sort((a, b) => b.unlocks - a.unlocks);
}

/** Every gate that waits for one, through whatever stands between. The hand-over waits for all that does not end with its day. */
const WAIT_FOR = waitingGates();
function waitingGates(): ReadonlyMap<GateId, ReadonlySet<GateId>> {
  const rows: readonly GateRow[] = GATE_TABLE.filter((r) => !r.applies.startsWith('battery'));
  const found = new Map<GateId, Set<GateId>>();
  // The table stands in the order of its needs: what waits for a gate stands behind it.
  for (const row of [...rows].reverse()) {
    const own = rows.filter((r) => (r.needs as readonly GateId[]).includes(row.id));
    found.set(row.id, new Set(own.flatMap((r) => [r.id, ...(found.get(r.id) ?? [])])));
  }
  return found;
}
