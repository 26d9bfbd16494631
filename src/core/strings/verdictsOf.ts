import type { Check, Verdict } from '../kernel/check';
import { VERDICT_ORDER } from '../kernel/check';

/** The worst verdict of every string, tracker and inverter that checks speak of, by its id. */
export function verdictsOf(checks: readonly Check[]): Map<string, Verdict> {
  const rank = new Map<string, number>();
  for (const c of checks) {
    const { id, element } = c.subject;
    if (!id || (element !== 'string' && element !== 'tracker' && element !== 'inverter')) continue;
    const own = VERDICT_ORDER.indexOf(c.verdict);
    const before = rank.get(id);
    if (before === undefined || own < before) rank.set(id, own);
  }
  return new Map([...rank].map(([id, r]) => [id, VERDICT_ORDER[r] ?? 'unknown']));
}
