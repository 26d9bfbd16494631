import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { SaidBy } from '../../saidBy';
import { isSimulated } from '../../saidBy';

/** What was read was said by a device of the site: a simulated one proves nothing of it. */
export const REAL_DEVICE = rule<{ readonly from: SaidBy }>()({
  id: 'proving.real-device',
  title: 'Said by a device of the site',
  unit: '',
  basis: practice('a simulated device proves nothing of a real one'),
  needs: { from: { as: 'answer of a real device', of: (r) => (isSimulated(r) ? null : r.from) } },
  judge: ({ from }) => found('holds', () => [`read ${from}`]),
});
