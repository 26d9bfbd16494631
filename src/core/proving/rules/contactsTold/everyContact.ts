import type { Answer } from '../../../kernel/answer';
import { known, lacking } from '../../../kernel/answer';
import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { ContactName, ContactsTold } from '../../readings/contactReading';
import { CONTACTS } from '../../readings/contactReading';

/** Contacts that were worked; of every other somebody has said that it is not wired. */
function workedOf({ worked, notWired }: ContactsTold): Answer<readonly ContactName[]> {
  const untold = CONTACTS.filter((c) => !worked.includes(c) && !notWired.includes(c));
  return untold.length ? lacking(...untold.map((c) => `whether ${c} is wired`)) : known(worked);
}

/** No contact of the unit is left out: each was worked, or is said not to be wired. A stop that the survey has and the unit has not is asked about. */
export const EVERY_CONTACT = rule<ContactsTold>()({
  id: 'proving.every-contact',
  title: 'Every contact of the unit is told of',
  unit: '',
  basis: practice('a contact that nobody worked is not proved by its neighbour'),
  needs: { worked: { as: 'every contact', answer: workedOf } },
  judge: ({ worked }, { notWired, stopFitted }) => {
    const without = stopFitted === true && notWired.includes('stop');
    return found(without ? 'tight' : 'holds', () => [
      `worked: ${worked.join(', ')}; not wired: ${notWired.join(', ') || 'none'}`,
      ...(without ? ['the survey says that a stop is fitted: say where it acts, if not at this unit'] : []),
    ]);
  },
});
