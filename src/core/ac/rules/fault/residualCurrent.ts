import { published } from '../../../kernel/check';
import { ruleToCome } from '../../../kernel/rule';
import type { RunResult } from '../../results';

/** Type and rating of a residual-current device against the unit’s own leakage and DC. */
export const RESIDUAL_CURRENT = ruleToCome<RunResult>({
  id: 'ac.residual-current',
  title: 'Residual-current device suits the inverter',
  unit: 'mA',
  basis: published('IEC 62109-2; IEC 60364-7-712'),
  asks: [
    'kind and rating of the residual-current device, or that there is none',
    'what the inverter’s maker says of it',
  ],
});
