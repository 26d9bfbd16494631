import { published } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { MOST_UNIT_LOADS } from '../../line/budget';
import type { ChainResult } from '../../results';

/** Unit loads of all devices on one driver. */
export const UNIT_LOADS = rule<ChainResult>()({
  id: 'links.unit-loads',
  title: 'Unit loads on the driver',
  unit: 'unit loads',
  basis: published('TIA/EIA-485-A'),
  needs: { sum: { as: 'unit loads of every device', answer: (c) => c.unitLoads } },
  judge: ({ sum }, { chain }) =>
    atMost({
      value: sum,
      limit: MOST_UNIT_LOADS,
      working: () => [`Σ unit loads of ${chain.devices.length} devices = ${fixed(sum, 3)} on ${MOST_UNIT_LOADS}`],
    }),
});
