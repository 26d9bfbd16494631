import { practice } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { BoardLoad } from '../../boardLoad';

/** Rating of the main breaker, A, against the busbar it protects. */
export const MAIN_ON_BUSBAR = rule<BoardLoad>()({
  id: 'ac.main-on-busbar',
  title: 'Main breaker protects the busbar',
  unit: 'A',
  basis: practice('a breaker above the rating of the busbar does not protect it'),
  needs: {
    mainA: { as: 'main breaker', of: (b) => b.board.mainBreakerA },
    busbarA: { as: 'busbar rating', of: (b) => b.board.busbarA },
  },
  judge: ({ mainA, busbarA }) =>
    atMost({ value: mainA, limit: busbarA, working: () => [`main breaker ${mainA} A on a busbar of ${busbarA} A`] }),
});
