import { practice } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { lengthLimitM } from '../../chain';
import type { ChainResult } from '../../results';

/** Cable of the whole chain, m, against what its bit rate allows. */
export const LENGTH = rule<ChainResult>()({
  id: 'links.length',
  title: 'Length at the bit rate',
  unit: 'm',
  basis: practice('min(1200 m, 1e8 / bit rate)'),
  needs: {
    bitRate: { as: 'bit rate', of: (c) => c.chain.bitRate },
    lengthM: { as: 'routes or positions', answer: (c) => c.lengthM },
  },
  judge: ({ bitRate, lengthM }, { hops }) => {
    const limit = lengthLimitM(bitRate);
    return atMost({
      value: lengthM,
      limit,
      working: () => [
        `${hops.length} hops, ${fixed(lengthM, 1)} m with slack and landings`,
        `min(1200, 1e8 / ${bitRate}) = ${fixed(limit, 0)} m`,
      ],
    });
  },
});
