import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { stopRows } from '../../../links/contacts/truth';
import type { ContactReading } from '../../readings/contactReading';

const BY_LOGIC = { 'normally closed': 'NC', 'normally open': 'NO' } as const;

/** Whether a stop of this kind is lost where its wire breaks, unseen. */
const lostByBreak = (logic: ContactReading['logic']): boolean =>
  stopRows(BY_LOGIC[logic]).some((r) => r.wire === 'broken' && r.judged.startsWith('DANGEROUS'));

/** A stop that a broken wire would take away is watched, or it is none. */
export const STOP_CIRCUIT = rule<ContactReading>()({
  id: 'proving.stop-circuit',
  title: 'A broken wire does not take the stop away',
  unit: '',
  basis: published('ISO 13850, principle of the closed circuit'),
  needs: {},
  judge: (_, { contact, logic, supervised }) => {
    const lost = contact === 'stop' && lostByBreak(logic) && !supervised;
    return found(lost ? 'stop' : 'holds', () => [
      `${contact}, ${logic}, ${supervised ? 'watched' : 'not watched'}`,
      ...(lost ? ['a broken wire would not be seen: wire it normally closed, or watch it'] : []),
    ]);
  },
});
