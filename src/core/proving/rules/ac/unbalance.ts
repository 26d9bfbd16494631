import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { UNBALANCE_WANTED_PERCENT, judgeUnbalance, unbalancePercent } from '../../acVoltages';
import type { AcReading } from '../../readings/acReading';

/** Negative over positive sequence of the line voltages, per cent. */
export const UNBALANCE = rule<AcReading>()({
  id: 'proving.unbalance',
  title: 'Voltage unbalance',
  unit: '%',
  basis: published('EN 50160; IEC 61000-4-30'),
  needs: {},
  judge: (_, { lineV }) => {
    const percent = unbalancePercent(lineV);
    const limit = UNBALANCE_WANTED_PERCENT;
    return found(judgeUnbalance(percent), () => [`${fixed(percent, 2)} % on ${limit} %`], {
      value: percent,
      limit,
      // Past what is wanted there is no margin left to speak of.
      margin: percent <= limit ? (100 * (limit - percent)) / limit : null,
    });
  },
});
