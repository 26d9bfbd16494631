import type { Check } from '$core/kernel/check';
import { fixed } from '$core/kernel/quantity';

/** Far from the limit the digits say nothing: an insulation reading may lie a hundred times above. */
const FAR_PERCENT = 999;

const percent = (margin: number, short: boolean): string =>
  margin > FAR_PERCENT ? `> ${FAR_PERCENT}` : fixed(margin, short && Math.abs(margin) >= 10 ? 0 : 1);

/**
 * The margin that made the verdict: what is left of the limit, and where that is less than should be in hand, how much that is. A verdict that
 * something else made than its margin is said instead of it. `short` for the line strip.
 */
export function marginWords(check: Pick<Check, 'margin' | 'reserve' | 'verdict'>, short = false): string {
  const { margin, reserve, verdict } = check;
  if (margin === null) return verdict;
  if (verdict === 'stop' && margin >= 0) return verdict;
  if (verdict !== 'tight') return `${percent(margin, short)} %`;
  return reserve !== undefined && margin < reserve
    ? `${percent(margin, short)} of ${percent(reserve, short)} %`
    : verdict;
}
