import { published } from '../../../kernel/check';
import { ruleToCome } from '../../../kernel/rule';
import type { RunResult } from '../../results';

/** Energy that a short circuit lets through against what lines and PE bear: S ≥ I·√t/k. */
export const WITHSTAND = ruleToCome<RunResult>({
  id: 'ac.adiabatic',
  title: 'Conductors survive a short circuit',
  unit: 'mm²',
  basis: published('IEC 60364-4-43, 434.5; IEC 60364-5-54, 543.1'),
  asks: ['short-circuit current at the board', 'clearing time of the breaker'],
});
