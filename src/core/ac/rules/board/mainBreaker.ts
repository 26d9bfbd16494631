import { practice } from '../../../kernel/check';
import { atLeast } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { BoardLoad } from '../../boardLoad';
import { mainBreakerNeed, sumWords } from '../../boardLoad';

/** Rating of the main breaker, A, against the sum over what its ambient leaves of it. */
export const MAIN_BREAKER = rule<BoardLoad>()({
  id: 'ac.main-breaker',
  title: 'Main breaker carries the sum in its ambient',
  unit: 'A',
  basis: practice('all inverters peak together: no diversity'),
  schools: ['IEC', 'NEC'],
  needs: {
    sumA: { as: 'inverters', answer: (b) => b.sumA },
    mainA: { as: 'main breaker', of: (b) => b.board.mainBreakerA },
    need: { as: 'ambient at the main breaker', answer: mainBreakerNeed },
  },
  judge: ({ sumA, mainA, need }, b) =>
    atLeast({
      value: mainA,
      limit: need.neededA,
      working: () => [
        sumWords(b, sumA),
        `at ${b.board.mainAmbientC} °C: ${need.words}; ${fixed(need.neededA, 1)} A needed on ${mainA} A`,
      ],
    }),
});
