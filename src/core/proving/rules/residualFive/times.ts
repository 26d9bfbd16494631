import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { bandText, isIn, nearestEdge, tripBandMs } from '../../measure/residualDevice';
import type { ResidualAtFive } from '../../readings/residualReading';

/** Trip time at five times the rated residual current. */
export const RESIDUAL_FIVE = rule<ResidualAtFive>()({
  id: 'proving.residual-five',
  title: 'Residual-current device trips in time at five times its rating',
  unit: 'ms',
  basis: published('IEC 61008-1, Table 1'),
  reads: 'trip time',
  needs: {},
  judge: (_, { delayed, atFiveMs }) => {
    const band = tripBandMs(5, delayed);
    return found(isIn(band, atFiveMs) ? 'holds' : 'stop', () => [`${atFiveMs} ms at 5 ×: ${bandText(band, 'ms')}`], {
      value: atFiveMs,
      limit: nearestEdge(band, atFiveMs),
    });
  },
});
