import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { bandText, isIn, nearestEdge, rampBandMa } from '../../measure/residualDevice';
import type { ResidualReading } from '../../readings/residualReading';

/** The current at which a ramp trips; at half its rating a device stays on. */
export const RESIDUAL_RAMP = rule<ResidualReading>()({
  id: 'proving.residual-ramp',
  title: 'Residual-current device trips at its rating, and not at half of it',
  unit: 'mA',
  basis: published('IEC 61008-1; IEC 62423 for the smooth ramp'),
  reads: 'residual current',
  needs: {},
  judge: (_, { ratedMa, smoothRamp, rampMa, tripsAtHalf }) => {
    const band = rampBandMa(ratedMa, smoothRamp);
    return found(
      isIn(band, rampMa) && !tripsAtHalf ? 'holds' : 'stop',
      () => [
        `trips at ${rampMa} mA of a ${smoothRamp ? 'smooth' : 'mains'} ramp: ${bandText(band, 'mA')}`,
        tripsAtHalf ? 'trips at half its rating' : 'stays on at half its rating',
      ],
      { value: rampMa, limit: nearestEdge(band, rampMa) },
    );
  },
});
