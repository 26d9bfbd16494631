import { published } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { RunResult } from '../../results';

/** Largest short-circuit current at the board, kA, against what the breaker of the run can open at this voltage. */
export const BREAKING_CAPACITY = rule<RunResult>()({
  id: 'ac.breaking-capacity',
  title: 'Breaker opens the short-circuit current',
  unit: 'kA',
  basis: published('IEC 60947-2; IEC 60909-0'),
  needs: {
    capacityKa: { as: 'breaking capacity of the breaker at this voltage', of: (r) => r.run.breakerIcuKa },
    currentA: { as: 'short-circuit current at the board', answer: (r) => r.supply.boardA },
  },
  judge: ({ capacityKa, currentA }, { supply }) =>
    atMost({
      value: currentA / 1000,
      limit: capacityKa,
      working: () => [
        ...supply.words,
        `with what the inverters add ${fixed(currentA / 1000, 2)} kA; the breaker opens ${capacityKa} kA`,
      ],
    }),
});
