import { practice } from '../../../kernel/check';
import { atMost, withVerdict } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { MixPart } from '../../year/mixing';

/** Two strings that would share a tracker, and what of a year that loses. */
export interface MixOverYear {
  readonly lossPercent: number | null;
  readonly parts: readonly [MixPart, MixPart];
}

/** Loss of a year by mixing: up to this it is let pass, and up to the second it is borne (common practice). */
const LET_PASS_PERCENT = 0.5;
const BORNE_PERCENT = 2;

/** How mixing two orientations on a tracker stands over a year. Unequal lengths stop whatever they lose: they push current back. */
export const MIXING = rule<MixOverYear>()({
  id: 'strings.mixing',
  title: 'Loss of a year by sharing a tracker',
  unit: '%',
  basis: practice('0.5 % let pass, 2 % borne; one class and one length a tracker is the rule'),
  needs: { lossPercent: { as: 'a year of energy', of: (m) => m.lossPercent } },
  judge: ({ lossPercent }, { parts }) => {
    const j = atMost(
      {
        value: lossPercent,
        limit: BORNE_PERCENT,
        working: () => [`1 − P_parallel/ΣP_separate over the year = ${fixed(lossPercent, 3)} %`],
      },
      100 * (1 - LET_PASS_PERCENT / BORNE_PERCENT),
    );
    return parts[0].modules === parts[1].modules
      ? j
      : withVerdict(j, 'stop', () => ['Unequal lengths: the longer string pushes current back into the shorter one.']);
  },
});
