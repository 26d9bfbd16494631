import { published } from '../../../kernel/check';
import { ruleToCome } from '../../../kernel/rule';
import type { RunResult } from '../../results';

/** Short-circuit current at the board against what the breaker of the run can open at its voltage. */
export const BREAKING_CAPACITY = ruleToCome<RunResult>({
  id: 'ac.breaking-capacity',
  title: 'Breaker opens the short-circuit current',
  unit: 'kA',
  basis: published('IEC 60947-2; IEC 60909-0'),
  asks: ['breaking capacity of the breaker at this voltage', 'short-circuit current at the board'],
});
