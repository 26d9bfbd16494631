import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { SetUpReading } from '../../readings/setUpReading';

/** The grid code that the unit shows is the one of the site. */
export const SET_UP_CODE = rule<SetUpReading>()({
  id: 'proving.set-up-code',
  title: 'Grid code as the site wants it',
  unit: '',
  basis: practice('read back from the unit; the letter of the operator decides'),
  needs: { planned: { as: 'grid code', of: (r) => r.site.gridCode } },
  judge: ({ planned }, { gridCode }) =>
    found(gridCode === planned ? 'holds' : 'stop', () => [`set: ${gridCode}; planned: ${planned}`]),
});
