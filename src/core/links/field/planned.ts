import type { ChainDevice } from '../part';
import type { Planned } from './compare';
import { FACTORY_ADDRESS, LAST_ADDRESS } from '../addresses';
import { isUnit } from '../segments';

/** The units of a bus that have an address, in its order. */
export const plannedOf = (devices: readonly ChainDevice[]): Planned[] =>
  devices.flatMap((d) =>
    isUnit(d) && d.address !== null ? [{ address: d.address, serial: d.serial, label: d.label }] : [],
  );

/** Addresses in the order in which a scan asks them: the planned ones, then 1, then the others where all are wanted. */
export function scanOrder(plan: readonly Planned[], all: boolean): number[] {
  const others = all ? Array.from({ length: LAST_ADDRESS }, (_, i) => i + 1) : [];
  return [...new Set([...plan.map((p) => p.address), FACTORY_ADDRESS, ...others])];
}
