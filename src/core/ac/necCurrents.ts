import type { Ampacity } from '../conductor/school';
import { nec } from '../conductor/schools';
import type { Answer } from '../kernel/answer';
import { known, lacking } from '../kernel/answer';
import type { RunResult } from './results';

/** Current of the terminals of a run, A, by the NEC school. */
export const atTerminals = ({ run }: RunResult): Answer<nec.AtTerminals> => nec.terminationA(run, run.breakerA);

/** What the terminals have to carry, A: 125 % of the design current, or all of it in an assembly listed for 100 %. */
export const continuousA = ({ run, designCurrent }: RunResult): number =>
  (run.fullRated ? 1 : nec.CONTINUOUS) * designCurrent.currentA;

export interface Final {
  readonly finalA: number;
  readonly use: Ampacity;
  readonly ends: nec.AtTerminals;
}

/** The current a breaker has to protect, A: the lesser of what terminals and conditions of use allow. */
export function finalOf(r: RunResult): Answer<Final> {
  const ends = atTerminals(r);
  const use = r.ampacity;
  return ends.value === null || use.value === null
    ? lacking(...new Set([...use.missing, ...ends.missing]))
    : known({ finalA: Math.min(use.value.izA, ends.value.currentA), use: use.value, ends: ends.value });
}
