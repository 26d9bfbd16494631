import { practice } from '../../../kernel/check';
import { atLeast } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { RunResult } from '../../results';

const amps = (x: number) => `${fixed(x, 1)} A`;

/** Rating of the breaker, A, against the design current over what its ambient and neighbours leave of it: I_n ≥ I_b / K. */
export const BREAKER_RATING = rule<RunResult>()({
  id: 'ac.breaker-rating',
  title: 'Breaker carries the design current in its ambient',
  unit: 'A',
  basis: practice('0.6 %/K above the reference ambient; the breaker’s own curve wins'),
  schools: ['IEC', 'NEC'],
  needs: {
    breakerA: { as: 'breaker', of: (r) => r.run.breakerA },
    need: { as: 'ambient and side-by-side factor at the breaker', answer: (r) => r.breaker },
  },
  judge: ({ breakerA, need }, { run, designCurrent, school }) =>
    atLeast({
      value: breakerA,
      limit: need.neededA,
      working: () => [
        `I_b ${amps(designCurrent.currentA)}; side by side ${run.breakerGroupFactor}; ${need.words}`,
        `${amps(need.neededA)} needed; next rating ${school.nextBreakerA(need.neededA).value ?? '–'} A; chosen ${breakerA} A`,
      ],
    }),
});
