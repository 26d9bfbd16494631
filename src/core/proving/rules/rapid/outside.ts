import { published } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { ShutDown } from '../../readings/shutDown';
import { IN_TIME, inTime } from '../../readings/shutDown';

/** Controlled conductors outside the array boundary, V (NFPA 70, 690.12(B)(1); recalled). */
const OUTSIDE_MOST_V = 30;

/** Highest voltage outside the array after rapid shutdown, V: between any two conductors and to earth. */
export const RAPID_OUTSIDE = rule<ShutDown>()({
  id: 'proving.rapid-outside',
  title: 'Rapid shutdown outside the array',
  unit: 'V',
  basis: published('NFPA 70, 690.12(B)(1)'),
  reads: 'DC voltage',
  schools: ['NEC'],
  needs: {
    volts: { as: IN_TIME, of: ({ outsideV, seconds }) => inTime(outsideV, OUTSIDE_MOST_V, seconds) },
  },
  judge: ({ volts }, { seconds }) =>
    atMost({
      value: volts,
      limit: OUTSIDE_MOST_V,
      working: () => [`${volts} V outside the array ${seconds} s after it was worked; at most ${OUTSIDE_MOST_V} V`],
    }),
});
