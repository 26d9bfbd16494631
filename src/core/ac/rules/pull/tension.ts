import { practice } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { PulledRun } from '../../schedule/pull';

/** Tension wanted in hand, per cent of the most (common practice): friction is a guess until the rope is on. */
const RESERVE_PERCENT = 20;

/** Tension at the rope, N, pulled from the easier end, against what the line conductors may be pulled by. */
export const PULL_TENSION = rule<PulledRun>()({
  id: 'ac.pull-tension',
  title: 'The cable takes the pull',
  unit: 'N',
  basis: practice('copper 50, aluminium 30 N/mm² by the conductors; the maker’s figure wins'),
  needs: {
    chosen: { as: 'way, mass and friction of the pull', answer: (p) => p.chosen },
    mostN: { as: 'lines that are pulled by', answer: (p) => p.mostN },
  },
  judge: ({ chosen: { from, pull, otherN }, mostN }) =>
    atMost(
      {
        value: pull.tensionN,
        limit: mostN,
        working: () => [
          `with the rope at the ${from} ${fixed(pull.tensionN, 0)} N, from the other end ${fixed(otherN, 0)} N; three lines take ${fixed(mostN, 0)} N`,
        ],
      },
      RESERVE_PERCENT,
    ),
});
