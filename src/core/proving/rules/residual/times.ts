import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { nearestTimeMs, residualFaults } from '../../measure/residualDevice';
import type { ResidualReading } from '../../readings/residualReading';

/** Times and ramps of a tested device. */
export const RESIDUAL_TIMES = rule<ResidualReading>()({
  id: 'proving.residual-times',
  title: 'Residual-current device trips as it should',
  unit: 'ms',
  basis: published('IEC 61008-1, Table 1; IEC 62423'),
  reads: 'trip time',
  needs: {},
  judge: (_, t) => {
    const faults = residualFaults(t);
    return found(faults.length ? 'stop' : 'holds', () => (faults.length ? faults : ['times and ramp in their bands']), {
      value: t.atRatedMs,
      limit: nearestTimeMs(t),
    });
  },
});
