import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { RunResult } from '../../results';
import { WIRING_ON_SERVICE } from '../../tables/systemEarthing';

/** Whether the supply and its earthing suit the inverter's wiring. */
export const WIRING = rule<RunResult>()({
  id: 'ac.wiring-on-service',
  title: 'Supply suits the inverter’s wiring',
  unit: '',
  basis: practice('wiring by service; the data sheet wins'),
  needs: {
    row: {
      as: 'supply and its earthing',
      of: (r) => WIRING_ON_SERVICE.find((w) => w.wiring === r.type.wiring && w.service === r.survey.service),
    },
  },
  judge: ({ row }, { type }) => found(row.verdict, () => [`${type.wiring} on ${row.service}: ${row.text}`]),
});
