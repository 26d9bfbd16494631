import type { SiteDesign } from '../design';
import { evidence } from './evidence';
import type { Release, SiteLog } from './evidence/log';
import { isClosed } from './gates/machine';
import type { GateKey } from './gates/machine';

/** A proof that a release would cost. */
export interface Cost {
  readonly key: GateKey;
  readonly gate: string;
  readonly object: string;
  readonly why: string;
}

/** A letter that no release has: the design is only tried under it. */
const TRIED = 'ZZ';

/** Proofs that stand now and would not once a design is released: what the crew has to prove anew. `before`: what the log proves now. */
export function costOf(log: SiteLog, design: SiteDesign, nowMs: number, before = evidence(log, nowMs)): Cost[] {
  if (log.releases.length === 0) return [];
  const tried: Release = { letter: TRIED, atMs: nowMs, design };
  const after = evidence({ ...log, releases: [...log.releases, tried] }, nowMs + 1, before);
  return [...before.gates].flatMap(([key, { state, gate, object }]) => {
    const then = after.gates.get(key);
    if (!isClosed(state) || state === 'n/a' || (then && isClosed(then.state))) return [];
    const why = then?.why?.replace(`release ${TRIED} changed`, 'this design changes') ?? 'it is no part of this design';
    return [{ key, gate: gate.id, object, why }];
  });
}
