import { published } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { RunResult } from '../../results';

/** Nominal line voltage, V, against the rated operational voltage of the breaker: gear for 690 V does not cover 800 V. */
export const BREAKER_VOLTAGE = rule<RunResult>()({
  id: 'ac.breaker-voltage',
  title: 'Breaker is made for the voltage',
  unit: 'V',
  basis: published('IEC 60947-2, rated operational voltage'),
  needs: {
    ratedV: { as: 'rated voltage of the breaker', of: (r) => r.run.breakerUeV },
    lineV: { as: 'nominal line voltage', of: (r) => r.survey.lineV },
  },
  judge: ({ ratedV, lineV }) =>
    atMost({ value: lineV, limit: ratedV, working: () => [`${lineV} V on a breaker for ${ratedV} V`] }),
});
