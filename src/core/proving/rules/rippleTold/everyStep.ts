import { RIPPLE_PERCENT } from '../../../links/contacts/truth';
import type { Answer } from '../../../kernel/answer';
import { known, lacking } from '../../../kernel/answer';
import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { RipplePercent, RippleTold } from '../../readings/rippleReading';

/** Steps that were worked; of every other somebody has said that it is not wired. */
function workedOf({ worked, notWired }: RippleTold): Answer<readonly RipplePercent[]> {
  const untold = RIPPLE_PERCENT.filter((p) => !worked.includes(p) && !notWired.includes(p));
  return untold.length ? lacking(...untold.map((p) => `whether the step to ${p} % is wired`)) : known(worked);
}

/** No step of a ripple control is left out: each was worked, or is said not to be wired. One without any step holds nothing back. */
export const EVERY_STEP = rule<RippleTold>()({
  id: 'proving.every-ripple-step',
  title: 'Every step of the ripple control is told of',
  unit: '',
  basis: practice('a step that nobody worked is not proved by its neighbour'),
  needs: { worked: { as: 'every step of the ripple control', answer: workedOf } },
  judge: ({ worked }, { notWired }) =>
    found(worked.length ? 'holds' : 'stop', () => [
      `worked: ${worked.map((p) => `${p} %`).join(', ') || 'none'}; not wired: ${notWired.map((p) => `${p} %`).join(', ') || 'none'}`,
    ]),
});
