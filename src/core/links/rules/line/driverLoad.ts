import { published } from '../../../kernel/check';
import { atLeast } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { driverLoadOhm } from '../../line/budget';
import type { ChainResult } from '../../results';

/** Least load a driver is asked to bear, Ω, and what it is wanted over it: the driver's test load is 54 Ω, a biased full bus has less (common practice). */
const LEAST_OHM = 50;
const RESERVE_PERCENT = 8;

/** Everything that hangs between D1 and D0, against the load a driver is tested with. */
export const DRIVER_LOAD = rule<ChainResult>()({
  id: 'links.driver-load',
  title: 'Load on the driver',
  unit: 'Ω',
  basis: published('TIA/EIA-485-A'),
  needs: {
    terminators: { as: 'resistance of the terminators', answer: (c) => c.budget.terminators },
    bias: { as: 'where the pair is biased', answer: (c) => c.budget.bias },
    unitLoads: { as: 'unit loads of every device', answer: (c) => c.unitLoads },
  },
  judge: ({ terminators, bias, unitLoads }) => {
    const ohms = [...terminators.nearOhm, ...terminators.farOhm];
    return atLeast(
      {
        value: driverLoadOhm(ohms, unitLoads, bias === 'none' ? null : bias),
        limit: LEAST_OHM,
        working: () => [
          `${ohms.length} terminators (${ohms.map((r) => fixed(r, 0)).join(', ') || 'none'} Ω), ${fixed(unitLoads, 3)} unit loads of 24 kΩ, ${
            bias === 'none' ? 'no bias' : `bias ${fixed(bias.pullUpOhm, 0)} + ${fixed(bias.pullDownOhm, 0)} Ω`
          }`,
          '54 Ω is the driver’s test load; a biased pair with many units lies a little under it',
        ],
      },
      RESERVE_PERCENT,
    );
  },
});
