import { requireWithin } from '../../kernel/require';
import { FACTORY_ADDRESS, FIRST_ADDRESS, LAST_ADDRESS } from '../addresses';

/** A unit by its serial, where it answers and where it is to. */
export interface Move {
  readonly serial: string;
  readonly from: number;
  readonly to: number;
}

/** Kept free on every bus, to park a unit while others change places (common practice). */
const SPARE_ADDRESS = LAST_ADDRESS;

/**
 * Writes that bring units to their addresses, in an order in which no two ever share one: whoever's target is free goes, and where only circles
 * are left one parks at a spare. So many writes as units that move and circles. Throws RangeError for units that share an address, or are to.
 */
export function readdress(units: readonly Move[], spare = SPARE_ADDRESS): Move[] {
  for (const field of ['from', 'to'] as const) {
    const all = units.map((u) => u[field]);
    for (const address of all) requireWithin(field, address, FIRST_ADDRESS, LAST_ADDRESS);
    const twice = all.find((a, i) => all.indexOf(a) !== i);
    if (twice !== undefined) throw new RangeError(`${field} must be there once each (got ${twice} twice)`);
  }
  const at = new Map(units.map((u) => [u.serial, u.from]));
  const waiting = new Map(units.filter((u) => u.from !== u.to).map((u) => [u.serial, u.to]));
  const taken = new Set(units.map((u) => u.from));
  const writes: Move[] = [];
  const write = (serial: string, to: number) => {
    const from = at.get(serial) as number;
    writes.push({ serial, from, to });
    taken.delete(from);
    taken.add(to);
    at.set(serial, to);
  };
  while (waiting.size) {
    const free = [...waiting].find(([, to]) => !taken.has(to));
    if (free) {
      write(...free);
      waiting.delete(free[0]);
      continue;
    }
    if (taken.has(spare)) throw new RangeError(`spare must be free (got ${spare})`);
    write([...waiting.keys()][0] as string, spare);
  }
  return writes;
}

/** Devices in the order in which they are addressed one at a time: the one planned at 1 last, for until then 1 is the next one's from the factory. */
export function walkOrder<P extends { readonly address: number }>(plan: readonly P[]): P[] {
  return [...plan.filter((p) => p.address !== FACTORY_ADDRESS), ...plan.filter((p) => p.address === FACTORY_ADDRESS)];
}
