import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { LiftReading } from '../../readings/liftReading';

/** What the plan of the lift leaves tight is accepted by whoever leads it, with a reason; what stops or is not known is accepted by nobody. */
export const ACCEPTED = rule<LiftReading>()({
  id: 'proving.lift-accepted',
  title: 'Plan of the lift stands, or is accepted with a reason',
  unit: '',
  basis: practice('tight: the lead, with a reason on record; past a limit: nobody'),
  needs: {
    planned: {
      as: 'plan of the lift',
      of: ({ planned }) => (planned.length === 0 || planned.some((c) => c.verdict === 'unknown') ? null : planned),
      missing: ({ planned }) =>
        planned.length === 0
          ? ['a wall that it hangs on']
          : planned.flatMap((c) => (c.verdict === 'unknown' ? [`an answer to “${c.title}”`] : [])),
    },
  },
  judge: ({ planned }, { accepted }) => {
    const at = (verdict: 'stop' | 'tight') => planned.filter((c) => c.verdict === verdict).map((c) => c.title);
    const [stops, tight] = [at('stop'), at('tight')];
    if (stops.length)
      return found('stop', () => [`past its limit: ${stops.join(', ')}`, 'another way, more people or gear']);
    if (tight.length === 0) return found('holds', () => ['the plan of the lift holds']);
    return accepted === ''
      ? found('stop', () => [
          `tight: ${tight.join(', ')}`,
          'whoever leads the lift accepts it with a reason, or takes gear',
        ])
      : found('tight', () => [`tight: ${tight.join(', ')}`, `accepted: ${accepted}`]);
  },
});
