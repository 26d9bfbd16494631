import { practice } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { BoardLoad } from '../../boardLoad';
import { sumWords } from '../../boardLoad';

/** Currents of all inverters together, A, against the busbar. */
export const BUSBAR = rule<BoardLoad>()({
  id: 'ac.busbar',
  title: 'Busbar carries the sum of all inverters',
  unit: 'A',
  basis: practice('all inverters peak together: no diversity'),
  schools: ['IEC'],
  notOf: ['NEC'],
  needs: {
    sumA: { as: 'inverters', answer: (b) => b.sumA },
    busbarA: { as: 'busbar rating', of: (b) => b.board.busbarA },
  },
  judge: ({ sumA, busbarA }, b) =>
    atMost({ value: sumA, limit: busbarA, working: () => [sumWords(b, sumA), `on a busbar of ${busbarA} A`] }),
});
