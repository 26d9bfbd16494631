import { practice } from '../../../kernel/check';
import { atMost, withVerdict } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { RippleReading } from '../../readings/rippleReading';

/** How far the power may lie off its step, share of the rating, and how long it may take, s (common practice). */
const OFF_SHARE = 0.05;
const WITHIN_S = 60;

/** Power that a step leaves, kW. A step that the light would not have reached by itself proves nothing. */
export const RIPPLE_STEP = rule<RippleReading>()({
  id: 'proving.ripple-step',
  title: 'Ripple control takes the power to its step',
  unit: 'kW off',
  basis: practice('|P − step · P_rated| at most 5 % of the rating within 60 s'),
  needs: {
    lit: {
      as: 'more power before the step than it leaves',
      of: ({ percent, beforeKw, ratedKw }) =>
        percent === 100 || beforeKw > (percent / 100 + OFF_SHARE) * ratedKw ? true : null,
      missing: ({ percent }) => [`more power before the step to ${percent} % than it leaves`],
    },
  },
  judge: (_, { percent, beforeKw, powerKw, seconds, ratedKw }) => {
    // At 100 % nothing is held back: the light decides.
    const wantedKw = Math.min((percent / 100) * ratedKw, beforeKw);
    const j = atMost({
      value: Math.abs(powerKw - wantedKw),
      limit: OFF_SHARE * ratedKw,
      working: () => [
        `${percent} %: ${fixed(beforeKw, 1)} kW before, ${fixed(powerKw, 1)} kW after ${seconds} s; wanted ${fixed(wantedKw, 1)} kW`,
      ],
    });
    return seconds > WITHIN_S ? withVerdict(j, 'stop', () => [`it took over ${WITHIN_S} s`]) : j;
  },
});
