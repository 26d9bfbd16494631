import { published } from '../../../kernel/check';
import { ruleToCome } from '../../../kernel/rule';
import type { RunResult } from '../../results';

/** Current of a fault to earth against what trips the breaker in the time allowed. */
export const LOOP = ruleToCome<RunResult>({
  id: 'ac.loop',
  title: 'A fault to earth is cleared in time',
  unit: 'Ω',
  basis: published('IEC 60364-4-41, 411'),
  asks: ['impedance of the fault loop', 'magnetic setting of the breaker'],
});
