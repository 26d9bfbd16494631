import { nec } from '../../../conductor/schools';
import { published } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { finalOf } from '../../necCurrents';
import type { RunResult } from '../../results';

/** Rating of the breaker, A, against the largest that protects the conductor: the next standard rating up to 800 A. */
export const NEC_PROTECTION = rule<RunResult>()({
  id: 'ac.nec-protection',
  title: 'Breaker protects the conductor',
  unit: 'A',
  basis: published('NFPA 70, 240.4 and 240.6(A)'),
  schools: ['NEC'],
  notOf: ['IEC', 'AU/NZ'],
  needs: {
    final: { as: 'current the cable may carry', answer: finalOf },
    metal: { as: 'metal of the lines', of: (r) => r.run.metal },
    sectionMm2: { as: 'section', of: (r) => r.run.sectionMm2 },
    breakerA: { as: 'breaker', of: (r) => r.run.breakerA },
  },
  judge: ({ final: { finalA, use, ends }, metal, sectionMm2, breakerA }) =>
    atMost({
      value: breakerA,
      limit: nec.mostBreakerA(finalA, metal, sectionMm2),
      working: () => [
        `the lesser of ${fixed(ends.currentA, 1)} A at the terminals and ${fixed(use.izA, 1)} A in use: ${fixed(finalA, 1)} A`,
        `protected by at most ${nec.mostBreakerA(finalA, metal, sectionMm2)} A; the breaker is ${breakerA} A`,
      ],
    }),
});
