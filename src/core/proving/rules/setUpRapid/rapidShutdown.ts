import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { SetUpReading } from '../../readings/setUpReading';

/** Rapid shutdown is switched on at the unit, and the equipment is what the list of it names. */
export const SET_UP_RAPID = rule<SetUpReading>()({
  id: 'proving.set-up-rapid',
  title: 'Rapid shutdown set up',
  unit: '',
  basis: published('NFPA 70, 690.12'),
  schools: ['NEC'],
  needs: { on: { as: 'whether rapid shutdown is on', of: (r) => r.rapidShutdown } },
  judge: ({ on }) => found(on ? 'holds' : 'stop', () => [on ? 'on, equipment as listed' : 'off, or other equipment']),
});
