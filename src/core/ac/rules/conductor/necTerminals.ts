import { published } from '../../../kernel/check';
import { atLeast } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { atTerminals, continuousA } from '../../necCurrents';
import type { RunResult } from '../../results';

/** Current of the terminals' own column, A, without correction, against 125 % of the design current. */
export const NEC_TERMINALS = rule<RunResult>()({
  id: 'ac.nec-terminals',
  title: 'Terminals carry 125 % of the current',
  unit: 'A',
  basis: published('NFPA 70, 110.14(C), 690.8(B), 705.28'),
  schools: ['NEC'],
  notOf: ['IEC', 'AU/NZ'],
  needs: { ends: { as: 'section and breaker', answer: atTerminals } },
  judge: ({ ends }, r) =>
    atLeast({
      value: ends.currentA,
      limit: continuousA(r),
      working: () => [
        `${r.run.parallel} × ${r.school.sectionName(r.run.sectionMm2 ?? 0)} ${r.run.metal}, ${ends.column} °C column: ${fixed(ends.currentA, 1)} A`,
        `${r.run.fullRated ? '100' : '125'} % of ${fixed(r.designCurrent.currentA, 1)} A = ${fixed(continuousA(r), 2)} A; lugs ${r.run.terminals75 ? 'marked 75 °C at both ends' : 'not marked 75 °C at both ends'}`,
      ],
    }),
});
