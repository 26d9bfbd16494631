import { practice } from '../../../kernel/check';
import { atMost, withVerdict } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { ChainResult } from '../../results';
import { ROUND_SHARE, cures, roundOf } from '../../timing/round';

/** The logger's round over all units, against the one that is wanted. */
export const POLL_CYCLE = rule<ChainResult>()({
  id: 'links.poll-cycle',
  title: 'Round of the logger',
  unit: 's',
  basis: practice('four fifths of the wanted round; times of Modbus over Serial Line V1.02, 2.5.1'),
  needs: { round: { as: 'how the logger goes round', answer: (c) => roundOf(c.chain) } },
  judge: ({ round }) => {
    const { asking, registers, units, unitS, cycleS, needS, deadS } = round;
    const j = atMost(
      {
        value: cycleS,
        limit: needS,
        working: () => [
          `${units} units × ${fixed(1000 * unitS, 1)} ms for ${registers} registers at ${asking.bitRate} bit/s = ${fixed(cycleS, 2)} s of ${fixed(needS, 2)} s`,
          `each unit that is silent adds ${fixed(deadS - unitS, 2)} s`,
        ],
      },
      100 * (1 - ROUND_SHARE),
    );
    return j.verdict === 'holds'
      ? j
      : withVerdict(j, j.verdict, () =>
          cures(round).map((c) => (c.cycleS === null ? c.what : `${c.what}: ${fixed(c.cycleS, 2)} s`)),
        );
  },
});
