import { published } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { RunResult } from '../../results';

const amps = (x: number) => `${fixed(x, 1)} A`;

/** Reserve wanted between breaker and cable, per cent (common practice). */
const RESERVE_PERCENT = 5;

/** Current of the breaker, A, against what the cable may carry where it lies: I_b ≤ I_n ≤ I_z. */
export const AMPACITY = rule<RunResult>()({
  id: 'ac.ampacity',
  title: 'Cable carries the breaker current',
  unit: 'A',
  basis: published('IEC 60364-4-43, 433.1; IEC 60364-5-52'),
  schools: ['IEC'],
  notOf: ['NEC'],
  needs: {
    iz: { as: 'current the cable may carry', answer: (r) => r.ampacity },
    breakerA: { as: 'breaker', of: (r) => r.run.breakerA },
  },
  judge: ({ iz, breakerA }, { designCurrent }) =>
    atMost(
      {
        basis: published(`${iz.source}; IEC 60364-4-43, 433.1`),
        value: breakerA,
        limit: iz.izA,
        working: () => [
          ...iz.working(),
          `I_b ${amps(designCurrent.currentA)} ≤ I_n ${breakerA} A ≤ I_z ${amps(iz.izA)}`,
        ],
      },
      RESERVE_PERCENT,
    ),
});
