import { published } from '../../../kernel/check';
import { ruleToCome } from '../../../kernel/rule';
import type { ChainResult } from '../../results';

/** What a weak driver leaves at the far end of the line, against what a receiver wants. */
export const FAR_LEVEL = ruleToCome<ChainResult>({
  id: 'links.far-level',
  title: 'Level at the far end',
  unit: 'V',
  basis: published('TIA/EIA-485-A'),
  asks: ['loop resistance of the bus cable', 'driver levels of the units'],
});
