import type { Judged } from '../../kernel/judgement';
import { ROUNDING } from '../../kernel/rounding';

/**
 * A reading against a limit with what the meter may err by: past the limit stops; within U of it on the good side is tight; else it holds.
 * `least`: the limit must be reached, `most`: it must not be passed. U in the unit of the reading, null while the sheet does not say.
 */
export function judgeGuarded(value: number, limit: number, side: 'least' | 'most', uncertainty: number | null): Judged {
  const inHand = side === 'least' ? value - limit : limit - value;
  if (!(inHand >= -Math.abs(limit) * ROUNDING)) return 'stop';
  return uncertainty !== null && inHand < uncertainty ? 'tight' : 'holds';
}
