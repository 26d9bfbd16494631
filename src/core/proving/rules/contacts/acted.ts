import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { ContactReading } from '../../readings/contactReading';

/** Worked from its far end, the contact did what it is for, and let go again. */
export const CONTACT_ACTED = rule<ContactReading>()({
  id: 'proving.contact-acted',
  title: 'Contact does what it is for',
  unit: '',
  basis: practice('worked from its far end, with the action seen at the unit'),
  needs: {},
  judge: (_, { contact, acted }) =>
    found(acted ? 'holds' : 'stop', () => [
      `${contact}: ${acted ? 'action seen at the unit' : 'the unit did not act'}`,
    ]),
});
