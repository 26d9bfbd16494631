import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { SetUpReading } from '../../readings/setUpReading';

/** A unit that holds back what is fed in has to see it: by a meter or by current transformers. */
export const SET_UP_METER = rule<SetUpReading>()({
  id: 'proving.set-up-meter',
  title: 'Export limit with a meter behind it',
  unit: '',
  basis: practice('a limit without a meter holds nothing back'),
  needs: { meter: { as: 'meter that the export limit goes by', of: (r) => r.meter } },
  judge: ({ meter }) =>
    meter === 'none'
      ? found('stop', () => ['no meter is set: the limit holds nothing back'])
      : found('holds', () => [meter]),
});
