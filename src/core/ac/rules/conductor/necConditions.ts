import { published } from '../../../kernel/check';
import { atLeast } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { RunResult } from '../../results';

/** Current by the conditions of use, A: ambient, roof and bundling, against the design current without the 125 %. */
export const NEC_CONDITIONS = rule<RunResult>()({
  id: 'ac.nec-conditions',
  title: 'Conductor carries the current where it lies',
  unit: 'A',
  basis: published('NFPA 70, Table 310.16 with 310.15(B) and (C)'),
  schools: ['NEC'],
  notOf: ['IEC', 'AU/NZ'],
  needs: { iz: { as: 'current the cable may carry', answer: (r) => r.ampacity } },
  judge: ({ iz }, { designCurrent }) =>
    atLeast({
      value: iz.izA,
      limit: designCurrent.currentA,
      working: () => [...iz.working(), `for ${fixed(designCurrent.currentA, 1)} A`],
    }),
});
