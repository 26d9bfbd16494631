import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { AcReading } from '../../readings/acReading';

/** Order of the phases at the unit. */
export const ROTATION = rule<AcReading>()({
  id: 'proving.rotation',
  title: 'Phase rotation',
  unit: '',
  basis: practice('L1-L2-L3 at every unit, or meters and current transformers lie'),
  needs: {},
  judge: (_, { rotation }) => found(rotation === 'L1-L2-L3' ? 'holds' : 'tight', () => [rotation]),
});
