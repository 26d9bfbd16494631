import { published } from '../../../kernel/check';
import { ruleToCome } from '../../../kernel/rule';
import type { ChainResult } from '../../results';

/** Everything that hangs between D1 and D0, against the load a driver is tested with. */
export const DRIVER_LOAD = ruleToCome<ChainResult>({
  id: 'links.driver-load',
  title: 'Load on the driver',
  unit: 'Ω',
  basis: published('TIA/EIA-485-A'),
  asks: ['terminators and bias resistors in ohms'],
});
