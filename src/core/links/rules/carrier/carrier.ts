import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { CarrierWay } from '../../otherWays';

/** A carrier crosses no transformer, and filters, arresters and long runs weaken it whatever is on paper: never more than tight. */
export const CARRIER = rule<CarrierWay>()({
  id: 'links.carrier',
  title: 'Carrier on the power line',
  unit: '',
  basis: practice('one transformer secondary, one bus bar; a test of the link at full power and at night'),
  needs: {
    sameSecondary: {
      as: 'whether both ends of the carrier hang on one transformer secondary',
      of: (c) => c.sameSecondary,
    },
    sameBusbar: { as: 'whether both ends of the carrier hang on one bus bar', of: (c) => c.sameBusbar },
  },
  judge: ({ sameSecondary, sameBusbar }) =>
    sameSecondary && sameBusbar
      ? found('tight', () => [
          'filters, surge arresters and long runs weaken it',
          'test the link at full power and at night',
        ])
      : found('stop', () => [
          sameSecondary ? 'its ends hang on two bus bars' : 'no carrier crosses a transformer',
          'use another way, or a second receiver',
        ]),
});
