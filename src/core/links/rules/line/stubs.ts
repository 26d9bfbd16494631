import { published } from '../../../kernel/check';
import { ruleToCome } from '../../../kernel/rule';
import type { ChainResult } from '../../results';

/** Length of a branch between chain and device, against what reflects. */
export const STUBS = ruleToCome<ChainResult>({
  id: 'links.stubs',
  title: 'Stubs off the chain',
  unit: 'm',
  basis: published('Modbus over Serial Line V1.02, 3.4'),
  asks: ['length of the stub at every device'],
});
