import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { DUPLICATE_QUALITY, WEAK_QUALITY } from '../../../links/field/compare';
import type { AskedUnits } from '../../readings/busReading';

/** Fewer questions say nothing of one loss in a hundred. */
const POLLS_LEAST = 100;

/** The unit that answers worst: share of a hundred questions and more that came back well. */
export const BUS_LOSSES = rule<AskedUnits>()({
  id: 'proving.bus-losses',
  title: 'Questions that come back',
  unit: '%',
  basis: practice('100 questions to each unit; under 98 % weak, under 90 % perhaps two at one address'),
  needs: {
    shares: { as: 'devices with an address', of: (r) => (r.shares.length ? r.shares : null) },
    polls: { as: `${POLLS_LEAST} questions to each device`, of: (r) => (r.polls >= POLLS_LEAST ? r.polls : null) },
  },
  judge: ({ shares, polls }) => {
    const worst = shares.reduce((a, b) => (b.share < a.share ? b : a));
    const verdict = worst.share >= WEAK_QUALITY ? 'holds' : worst.share >= DUPLICATE_QUALITY ? 'tight' : 'stop';
    return found(verdict, () => [`${worst.label} answers worst: ${fixed(100 * worst.share, 1)} % of ${polls}`], {
      value: 100 * worst.share,
      limit: 100 * DUPLICATE_QUALITY,
    });
  },
});
