import { z } from 'zod';
import { editOn } from '../kernel/discipline';
import { replaced } from '../kernel/lists';
import { partId } from '../kernel/schema';
import type { ChainDevice, LinksDesign } from './part';
import { LAST_ADDRESS } from './addresses';
import { busLineSchema } from './line/busLine';
import { chainDeviceSchema, chainSchema } from './part';
import { pollPlanSchema } from './timing/pollPlan';

/** The chain with other devices. */
export const withDevices = <D extends LinksDesign>(d: D, devices: ChainDevice[]): D => ({
  ...d,
  chain: { ...d.chain, devices },
});

/** The chain in the order of the ids given; devices not named keep their order at the end. */
export function withChainOrder<D extends LinksDesign>(d: D, ids: readonly string[]): D {
  const at = new Map(ids.map((id, i) => [id, i]));
  const order = (c: ChainDevice) => at.get(c.id) ?? ids.length;
  return withDevices(
    d,
    [...d.chain.devices].sort((a, b) => order(a) - order(b)),
  );
}

/** Where meters that have no address yet are put: above the inverters (common practice). */
const METERS_FROM = 100;

/** The next address at or above one that nobody has; taken with that. Null when the line is full. */
function nextFree(taken: Set<number>, from: number): number | null {
  for (let address = from; address <= LAST_ADDRESS; address++) {
    if (taken.has(address)) continue;
    taken.add(address);
    return address;
  }
  return null;
}

/**
 * Inverters by position in the chain from 1, past addresses that meters have already; meters without one from 100; terminators at the two
 * ends and nowhere else. A meter keeps the address it has: it may be set on the device.
 */
export function withChainNumbered<D extends LinksDesign>(d: D): D {
  const last = d.chain.devices.length - 1;
  const taken = new Set(d.chain.devices.flatMap((c) => (c.kind === 'meter' && c.address !== null ? [c.address] : [])));
  const inverters = new Map(
    d.chain.devices.flatMap((c) => (c.kind === 'inverter' ? [[c.id, nextFree(taken, 1)] as const] : [])),
  );
  const addressOf = (c: ChainDevice) =>
    c.kind === 'logger' ? null : (inverters.get(c.id) ?? c.address ?? nextFree(taken, METERS_FROM));
  return withDevices(
    d,
    d.chain.devices.map((c, i) => ({ ...c, address: addressOf(c), terminated: i === 0 || i === last })),
  );
}

const edit = editOn<LinksDesign>();

/** What may be changed in the chain. */
export const linksEdits = [
  edit(
    'bit-rate',
    { bitRate: chainSchema.shape.bitRate },
    () => 'the bit rate',
    (d, { bitRate }) => ({
      ...d,
      chain: { ...d.chain, bitRate },
    }),
  ),
  edit(
    'bus-line',
    { line: busLineSchema },
    () => 'the pair of the bus',
    (d, { line }) => ({ ...d, chain: { ...d.chain, line } }),
  ),
  edit(
    'poll-plan',
    { poll: pollPlanSchema },
    () => 'the round of the logger',
    (d, { poll }) => ({ ...d, chain: { ...d.chain, poll } }),
  ),
  edit(
    'chain-order',
    { ids: z.array(partId).max(600) },
    () => 'the order of the chain',
    (d, { ids }) => withChainOrder(d, ids),
  ),
  edit(
    'chain-device',
    { device: chainDeviceSchema },
    (_, { device }) => `${device.label} on the chain`,
    (d, { device }) => withDevices(d, replaced(d.chain.devices, device)),
  ),
  edit(
    'remove-chain-device',
    { deviceId: partId },
    (d, { deviceId }) => `${d.chain.devices.find((c) => c.id === deviceId)?.label ?? deviceId} off the chain`,
    (d, { deviceId }) =>
      withDevices(
        d,
        d.chain.devices.filter((c) => c.id !== deviceId),
      ),
  ),
  edit(
    'number-chain',
    {},
    () => 'addresses and terminators',
    (d) => withChainNumbered(d),
  ),
] as const;
