import { published } from '../../../kernel/check';
import { atLeast } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { RunResult } from '../../results';

/** Section of the PE, mm², against what the line conductors ask for. */
export const PE_SECTION = rule<RunResult>()({
  id: 'ac.pe-section',
  title: 'PE section',
  unit: 'mm²',
  basis: published('IEC 60364-5-54, Table 54.2'),
  schools: ['IEC', 'NEC'],
  needs: {
    neededMm2: { as: 'section', answer: (r) => r.peNeededMm2 },
    peMm2: { as: 'PE section', of: (r) => r.run.peMm2 },
  },
  judge: ({ neededMm2, peMm2 }, { run, school }) =>
    atLeast({
      value: peMm2,
      limit: neededMm2,
      working: () => [
        `line ${school.sectionName(run.sectionMm2 ?? 0)} ${run.metal}, PE in ${run.peMetal}: ${school.sectionName(neededMm2)} needed, ${school.sectionName(peMm2)} chosen`,
      ],
    }),
});
