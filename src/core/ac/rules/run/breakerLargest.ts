import { dataSheet } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { RunResult } from '../../results';

/** Rating of the breaker, A, against the largest the inverter's maker allows upstream. */
export const BREAKER_LARGEST = rule<RunResult>()({
  id: 'ac.breaker-largest',
  title: 'Breaker is not above the largest the inverter allows',
  unit: 'A',
  basis: dataSheet('largest upstream breaker'),
  needs: {
    breakerA: { as: 'breaker', of: (r) => r.run.breakerA },
    mostA: {
      as: 'largest breaker of the inverter',
      of: (r) => r.type.breakerMaxA,
      missing: (r) => [`largest breaker of ${r.type.name}`],
    },
  },
  judge: ({ breakerA, mostA }) =>
    atMost({ value: breakerA, limit: mostA, working: () => [`${breakerA} A on at most ${mostA} A`] }),
});
