import { published } from '../../../kernel/check';
import { ruleToCome } from '../../../kernel/rule';
import type { ChainResult } from '../../results';

/** Voltage between D1 and D0 while nobody drives the pair, against what receivers read as silence. */
export const IDLE_BIAS = ruleToCome<ChainResult>({
  id: 'links.idle-bias',
  title: 'Idle voltage at every unit',
  unit: 'mV',
  basis: published('TIA/EIA-485-A; Modbus over Serial Line V1.02, 3.4.6'),
  asks: ['bias resistors and their supply', 'loop resistance of the bus cable'],
});
