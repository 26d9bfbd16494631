import { nec } from '../../../conductor/schools';
import { published } from '../../../kernel/check';
import { atLeast } from '../../../kernel/judgement';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { RunResult } from '../../results';

/** Size of conductors in parallel, mm²: 1/0 AWG and larger. */
export const NEC_PARALLEL = rule<RunResult>()({
  id: 'ac.nec-parallel',
  title: 'Parallel conductors are 1/0 AWG or larger',
  unit: 'mm²',
  basis: published('NFPA 70, 310.10(G)'),
  schools: ['NEC'],
  notOf: ['IEC', 'AU/NZ'],
  needs: {
    parallel: { as: 'cables in parallel', of: (r) => r.run.parallel },
    sectionMm2: { as: 'section', of: (r) => r.run.sectionMm2 },
  },
  judge: ({ parallel, sectionMm2 }, { school }) =>
    parallel === 1
      ? found('holds', () => ['one conductor a line'])
      : atLeast({
          value: sectionMm2,
          limit: nec.PARALLEL_LEAST_MM2,
          working: () => [`${parallel} × ${school.sectionName(sectionMm2)}; 1/0 AWG at least`],
        }),
});
