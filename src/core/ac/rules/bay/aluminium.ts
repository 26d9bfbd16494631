import { dataSheet } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { RunResult } from '../../results';

/** Whether the terminals take the metal of the lines: copper always, aluminium where the sheet says so. */
export const ALUMINIUM = rule<RunResult>()({
  id: 'ac.aluminium',
  title: 'Conductor metal is allowed at the terminals',
  unit: '',
  basis: dataSheet('aluminium conductors'),
  needs: {
    allowed: {
      as: 'whether the inverter allows aluminium',
      of: (r) => r.run.metal === 'Cu' || r.type.bay.aluminiumAllowed,
      missing: (r) => [`whether ${r.type.name} allows aluminium`],
    },
  },
  judge: ({ allowed }, { run }) => {
    if (run.metal === 'Cu') return found('holds', () => ['Copper']);
    return allowed
      ? found('holds', () => ['The data sheet allows aluminium on bimetal lugs'])
      : found('stop', () => ['The data sheet does not allow aluminium']);
  },
});
