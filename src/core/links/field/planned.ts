import type { Chain } from '../part';
import type { Planned } from './compare';
import { FACTORY_ADDRESS, LAST_ADDRESS } from '../addresses';

/** The units of a chain that have an address, in the order of the chain. */
export const plannedOf = ({ devices }: Chain): Planned[] =>
  devices.flatMap((d) =>
    d.kind !== 'logger' && d.address !== null ? [{ address: d.address, serial: d.serial, label: d.label }] : [],
  );

/** Addresses in the order in which a scan asks them: the planned ones, then 1, then the others where all are wanted. */
export function scanOrder(plan: readonly Planned[], all: boolean): number[] {
  const others = all ? Array.from({ length: LAST_ADDRESS }, (_, i) => i + 1) : [];
  return [...new Set([...plan.map((p) => p.address), FACTORY_ADDRESS, ...others])];
}
