import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { residualFloorMa } from '../../measure/residualDevice';
import type { ResidualReading } from '../../readings/residualReading';

/** Rated residual current over what the unit leaks in good health, mA. */
export const RESIDUAL_FLOOR = rule<ResidualReading>()({
  id: 'proving.residual-floor',
  title: 'Residual rating over the unit’s own leakage',
  unit: 'mA',
  basis: published('IEC 62109-2, 4.8.3.5, as a floor'),
  needs: {},
  judge: (_, { ratedMa, apparentKva }) => {
    const floor = residualFloorMa(apparentKva);
    return found(
      ratedMa >= floor ? 'holds' : 'stop',
      () => [`max(300 mA, 10 mA × ${apparentKva} kVA) = ${floor} mA; fitted ${ratedMa} mA`],
      {
        value: ratedMa,
        limit: floor,
        margin: (100 * (ratedMa - floor)) / floor,
      },
    );
  },
});
