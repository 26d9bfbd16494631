import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { meterStep } from '../../measure/meterSignature';
import type { MeterReading } from '../../readings/meterReading';

/** The site meter sees a unit come on by its power, kW. */
export const METER_STEP = rule<MeterReading>()({
  id: 'proving.meter-step',
  title: 'Site meter sees the unit’s power',
  unit: 'kW',
  basis: practice('within the larger of 3 % of the rating and 5 % of the power'),
  needs: { ratedKw: { as: 'rating of the unit', of: (r) => r.ratedKw } },
  judge: ({ ratedKw }, { beforeKw, afterKw, unitKw }) => {
    const { errorKw, limitKw, verdict } = meterStep(beforeKw, afterKw, unitKw, ratedKw);
    return found(
      verdict,
      () => [
        `${fixed(afterKw - beforeKw, 1)} kW seen for ${fixed(unitKw, 1)} kW; ${fixed(errorKw, 2)} of ${fixed(limitKw, 2)} kW`,
      ],
      {
        value: errorKw,
        limit: limitKw,
        margin: (100 * (limitKw - errorKw)) / limitKw,
      },
    );
  },
});
