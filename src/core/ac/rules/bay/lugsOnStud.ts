import { dataSheet } from '../../../kernel/check';
import { counted } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { RunResult } from '../../results';

/** Cables in parallel against the lugs that may lie on one stud. */
export const LUGS_ON_STUD = rule<RunResult>()({
  id: 'ac.lugs-on-stud',
  title: 'Lugs on one stud',
  unit: 'lugs',
  basis: dataSheet('lugs allowed on one stud'),
  needs: { parallel: { as: 'cables in parallel', of: (r) => r.run.parallel } },
  judge: ({ parallel }, { type: { bay } }) =>
    counted(
      parallel,
      bay.lugsPerStud,
      () => `${parallel} cables in parallel, ${bay.lugsPerStud} lugs allowed on a stud`,
    ),
});
