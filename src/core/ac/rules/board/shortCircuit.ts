import { published } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { BoardLoad } from '../../boardLoad';

/** Largest short-circuit current at the board, kA, against what its busbar withstands. */
export const SHORT_CIRCUIT = rule<BoardLoad>()({
  id: 'ac.short-circuit',
  title: 'Busbar withstands the short-circuit current',
  unit: 'kA',
  basis: published('IEC 60909-0; IEC 61439-1'),
  needs: {
    currentA: { as: 'short-circuit current at the board', answer: (b) => b.supply.boardA },
    withstandKa: { as: 'short-time withstand of the busbar', of: (b) => b.board.busbarIcwKa },
  },
  judge: ({ currentA, withstandKa }, { supply }) =>
    atMost({
      value: currentA / 1000,
      limit: withstandKa,
      working: () => [
        ...supply.words,
        `with what the inverters add ${fixed(currentA / 1000, 2)} kA; the busbar withstands ${withstandKa} kA`,
      ],
    }),
});
