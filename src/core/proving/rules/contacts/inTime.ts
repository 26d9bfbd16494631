import { practice } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { ContactReading } from '../../readings/contactReading';

/** From the far end to the action at the unit, s. */
export const CONTACT_IN_TIME = rule<ContactReading>()({
  id: 'proving.contact-in-time',
  title: 'Contact acts in time',
  unit: 's',
  basis: practice('at most the time that operator or sheet allow, measured'),
  reads: 'time',
  needs: {},
  judge: (_, { contact, seconds, mostS }) =>
    atMost({ value: seconds, limit: mostS, working: () => [`${contact}: ${seconds} s of ${mostS} s`] }),
});
