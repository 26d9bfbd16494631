import { requireWithin } from '../../kernel/require';
import type { Finding } from './compare';
import { FACTORY_ADDRESS, FIRST_ADDRESS, LAST_ADDRESS } from '../addresses';

/** A unit by its serial, where it answers and where it is to. */
export interface Move {
  readonly serial: string;
  readonly from: number;
  readonly to: number;
}

/** Kept free on every bus, to park a unit while others change places (common practice). */
export const SPARE_ADDRESS = LAST_ADDRESS;

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

/**
 * Writes that bring what a scan found to where it is planned; none where nothing has to move, or it cannot be done by writing alone: two at one address,
 * or in the way of one, are told apart first. What goes by no serial stays where it is.
 */
export function mendingWrites(findings: readonly Finding[]): readonly Move[] {
  const there = findings.filter((f) => f.kind !== 'missing');
  const units = there.map(({ address, serials, belongsAt }) => ({
    serial: serials.length === 1 ? (serials[0] as string) : `address ${address}`,
    from: address,
    to: serials.length === 1 ? (belongsAt ?? address) : address,
  }));
  const once = (of: readonly unknown[]) => new Set(of).size === of.length;
  if (!once(units.map((u) => u.serial)) || !once(units.map((u) => u.to))) return [];
  try {
    return readdress(units);
  } catch (cause) {
    // One is parked already and another would have to be.
    if (cause instanceof RangeError) return [];
    throw cause;
  }
}

/** Devices in the order in which they are addressed one at a time: the one planned at 1 last, for until then 1 is the next one's from the factory. */
export function walkOrder<P extends { readonly address: number }>(plan: readonly P[]): P[] {
  return [...plan.filter((p) => p.address !== FACTORY_ADDRESS), ...plan.filter((p) => p.address === FACTORY_ADDRESS)];
}
