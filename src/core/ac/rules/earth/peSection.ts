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
  schools: ['IEC'],
  needs: {
    neededMm2: { as: 'section', answer: (r) => r.peNeededMm2 },
    peMm2: { as: 'PE section', of: (r) => r.run.peMm2 },
  },
  judge: ({ neededMm2, peMm2 }, { run }) =>
    atLeast({
      value: peMm2,
      limit: neededMm2,
      working: () => [
        `line ${run.sectionMm2} mm² ${run.metal}, PE in ${run.peMetal}: ${neededMm2} mm² needed, ${peMm2} mm² chosen`,
      ],
    }),
});
