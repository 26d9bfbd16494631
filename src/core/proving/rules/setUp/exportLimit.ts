import { practice } from '../../../kernel/check';
import { atMost, found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { SetUpReading } from '../../readings/setUpReading';

/** What the unit may feed in is no more than the operator allows, kW. */
export const SET_UP_EXPORT = rule<SetUpReading>()({
  id: 'proving.set-up-export',
  title: 'Export limit within the permission',
  unit: 'kW',
  basis: practice('at most the limit of the operator’s letter'),
  needs: { permit: { as: 'permission of the operator on record', of: (r) => r.permit } },
  judge: ({ permit: { limitKw } }, { exportLimitKw }) => {
    if (limitKw === null) return found('holds', () => ['the letter of the operator sets no limit']);
    if (exportLimitKw === null) return found('stop', () => [`no limit is set, the letter allows ${limitKw} kW`]);
    return atMost({
      value: exportLimitKw,
      limit: limitKw,
      working: () => [`${exportLimitKw} kW set, ${limitKw} kW allowed`],
    });
  },
});
