import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { SupplyReading } from '../../readings/supplyReading';

/** What each supply of the survey reads like where it is as drawn. */
const READS_AS: Readonly<Record<string, readonly string[]>> = {
  'earthed wye with neutral (TN-S, TN-C-S)': ['wye_tn'],
  'earthed wye, TT': ['wye_tn'],
  'earthed wye, neutral not brought out': ['wye_no_n'],
  'IT wye, shared': ['ungrounded'],
  'IT wye, dedicated transformer': ['ungrounded'],
  'delta ungrounded, shared': ['ungrounded'],
  'delta ungrounded, dedicated transformer': ['ungrounded'],
  'corner-grounded delta': ['corner_or_faulted_phase'],
  'high-leg delta': ['high_leg_delta'],
};

/** The supply that was measured is the one that the survey names: the design was made for that one. */
export const SUPPLY_SERVICE = rule<SupplyReading>()({
  id: 'proving.supply-service',
  title: 'Supply is the one surveyed',
  unit: '',
  basis: practice('the design was made for the supply of the survey'),
  needs: {
    service: { as: 'supply and its earthing, from the survey', of: (r) => r.service },
    signature: { as: 'ten voltages', answer: (r) => r.signature },
  },
  judge: ({ service, signature }) =>
    found(READS_AS[service]?.includes(signature.name) ? 'holds' : 'stop', () => [
      `surveyed: ${service}; measured: ${signature.meaning}`,
    ]),
});
