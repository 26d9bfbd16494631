import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { SetUpReading } from '../../readings/setUpReading';

/** The password that every unit ships with is changed. Which one it is now is nobody's business here. */
export const SET_UP_PASSWORD = rule<SetUpReading>()({
  id: 'proving.set-up-password',
  title: 'Shipped password changed',
  unit: '',
  basis: practice('the fact and who holds it, never the password'),
  needs: {},
  judge: (_, { passwordChanged }) =>
    found(passwordChanged ? 'holds' : 'stop', () => [
      passwordChanged ? 'changed' : 'not changed: anybody who knows the make can set it up anew',
    ]),
});
