import { withArticle } from '../../kernel/words';
import type { Entry } from '../entry';
import { rankOf } from '../gates/machine';
import { GATE } from '../kinds/gate';
import { STEP } from '../kinds/step';
import { standing } from './people';

/** Why a correction cannot stand, by itself and its target; null where it can. It belongs to the same fact, and to one who may replace it. */
export function correctionTrouble(entry: Entry, target: Entry, day: string): string | null {
  if (!(entry.reason ?? '').trim()) return 'A correction needs a reason.';
  if (target.kind !== entry.kind) return `An entry of kind ${entry.kind} cannot correct one of kind ${target.kind}.`;
  if (target.subject.scope !== entry.subject.scope || target.subject.id !== entry.subject.id)
    return 'A correction belongs to the same part of the site.';
  if (GATE.is(entry) && GATE.is(target) && entry.values.gate !== target.values.gate)
    return 'A correction belongs to the same gate.';
  if (
    STEP.is(entry) &&
    STEP.is(target) &&
    (entry.values.state !== target.values.state || entry.values.order !== target.values.order)
  )
    return 'A correction belongs to the same step.';
  if (standing(entry, day) < rankOf(target.role))
    return `An entry of ${withArticle(target.role)} is corrected by ${withArticle(target.role)} or above.`;
  return null;
}
