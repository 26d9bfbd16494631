import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { MeterReading } from '../../readings/meterReading';

/** The ratio that a meter reckons with is that of its transformers: a step of a few kilowatts can fit by chance, every later figure does not. */
export const METER_RATIO = rule<MeterReading>()({
  id: 'proving.meter-ratio',
  title: 'Ratio of the current transformers read back',
  unit: ': 1',
  basis: practice('read back from the meter and compared with the plates'),
  needs: {
    transformers: { as: 'whether the meter measures through transformers', of: (r) => r.transformers },
    plate: { as: 'ratio on the plates', of: (r) => (r.transformers === false ? 1 : r.plateRatio) },
    shown: { as: 'ratio that the meter shows', of: (r) => (r.transformers === false ? 1 : r.shownRatio) },
  },
  judge: ({ transformers, plate, shown }) =>
    transformers
      ? found(shown === plate ? 'holds' : 'stop', () => [`${shown} : 1 in the meter, ${plate} : 1 on the plates`], {
          value: shown,
          limit: plate,
        })
      : found('holds', () => ['measures without transformers']),
});
