import { practice } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { GUST_MOST_MS } from '../../../mounting/lift/gusts';
import type { LiftReading } from '../../readings/liftReading';

/** Gusts at the place, m/s, as read just before the lift. */
export const GUST = rule<LiftReading>()({
  id: 'proving.lift-gust',
  title: 'Wind at the lift',
  unit: 'm/s',
  basis: practice('8 m/s with gear, 12 m/s by hand'),
  needs: {},
  judge: (_, { by, gustMs }) =>
    atMost({
      value: gustMs,
      limit: GUST_MOST_MS[by],
      working: () => [`gusts of ${gustMs} m/s, by ${by} to ${GUST_MOST_MS[by]} m/s`],
    }),
});
