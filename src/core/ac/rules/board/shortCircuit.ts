import { published } from '../../../kernel/check';
import { ruleToCome } from '../../../kernel/rule';
import type { BoardLoad } from '../../boardLoad';

/** Short-circuit current at the board against what its busbar withstands. */
export const SHORT_CIRCUIT = ruleToCome<BoardLoad>({
  id: 'ac.short-circuit',
  title: 'Busbar withstands the short-circuit current',
  unit: 'kA',
  basis: published('IEC 60909-0; IEC 61439-1'),
  asks: ['short-circuit current at the board', 'short-time withstand of the busbar'],
});
