import { published } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { PulledRun } from '../../schedule/pull';

/** What the inside of a bend may press, N/m: 500 lbf/ft (recalled). */
const MOST_N_PER_M = 7300;
/** As for the tension it comes from (common practice). */
const RESERVE_PERCENT = 20;

/** How hard the cable lies in the worst bend of its pull, N/m, pulled from the easier end. */
export const PULL_SIDEWALL = rule<PulledRun>()({
  id: 'ac.pull-sidewall',
  title: 'The cable takes the press of its bends',
  unit: 'N/m',
  basis: published('IEEE 576, sidewall pressure; the maker’s figure wins'),
  needs: { chosen: { as: 'way, mass and friction of the pull', answer: (p) => p.chosen } },
  judge: ({ chosen: { pull } }) =>
    atMost(
      {
        value: pull.sidewallNPerM,
        limit: MOST_N_PER_M,
        working: () => [`${fixed(pull.sidewallNPerM, 0)} N a metre on at most ${MOST_N_PER_M}`],
      },
      RESERVE_PERCENT,
    ),
});
