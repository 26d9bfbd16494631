import { withArticle } from '../../kernel/words';
import type { Entry } from '../entry';
import { maySign, rankOf } from '../gates/machine';
import type { GateRow } from '../gates/machine';

/** The rank of who made an entry, on that day: an electrician without a licence that is valid then works as a helper. */
export function standing({ role, licensedUntil }: Pick<Entry, 'role' | 'licensedUntil'>, day: string): number {
  if (role !== 'electrician') return rankOf(role);
  return licensedUntil !== null && day <= licensedUntil ? rankOf('electrician') : rankOf('helper');
}

/** Whether who made an entry may sign a gate on that day. */
export const signs = (row: GateRow, entry: Entry, day: string): boolean =>
  maySign(row, entry.role) && standing(entry, day) >= rankOf(row.signer);

export const isElectrician = (entry: Entry, day: string): boolean => standing(entry, day) === rankOf('electrician');

/** Why somebody could not sign, in words. */
export function whyNot(row: GateRow, entry: Entry, day: string): string {
  const lapsed = entry.role === 'electrician' && !isElectrician(entry, day);
  return lapsed
    ? `Gate ${row.id} is signed by the electrician with a licence valid on ${day}${entry.licensedUntil ? ` (this one ended ${entry.licensedUntil})` : ' (none is given)'}.`
    : `Gate ${row.id} is signed by the ${row.signer}; ${withArticle(entry.role)} may not.`;
}
