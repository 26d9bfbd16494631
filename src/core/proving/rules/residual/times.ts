import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { bandText, isIn, nearestEdge, tripBandMs } from '../../measure/residualDevice';
import type { ResidualReading } from '../../readings/residualReading';

/** Trip time at the rated residual current. */
export const RESIDUAL_TIMES = rule<ResidualReading>()({
  id: 'proving.residual-times',
  title: 'Residual-current device trips in time',
  unit: 'ms',
  basis: published('IEC 61008-1, Table 1'),
  reads: 'trip time',
  needs: {},
  judge: (_, { delayed, atRatedMs }) => {
    const band = tripBandMs(1, delayed);
    return found(isIn(band, atRatedMs) ? 'holds' : 'stop', () => [`${atRatedMs} ms at 1 ×: ${bandText(band, 'ms')}`], {
      value: atRatedMs,
      limit: nearestEdge(band, atRatedMs),
    });
  },
});
