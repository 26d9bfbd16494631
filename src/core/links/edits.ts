import { z } from 'zod';
import { editOn } from '../kernel/discipline';
import { replaced } from '../kernel/lists';
import { NAME_MOST, partId } from '../kernel/schema';
import type { ChainDevice, LinksDesign } from './part';
import { LAST_ADDRESS } from './addresses';
import { MOST_BUSES, busesOf, devicesOn } from './buses';
import { placeOf } from './chain';
import { busLineSchema } from './line/busLine';
import { otherWaysSchema } from './otherWays';
import { chainDeviceSchema, chainSchema } from './part';
import { isRepeater, isUnit } from './segments';
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

/** A chain with some of its devices: a port whose logger went stands by itself, where that stood. */
export function withOnly<D extends LinksDesign>(d: D, kept: readonly ChainDevice[]): D {
  const there = new Set(kept.map((c) => c.id));
  return withDevices(
    d,
    kept.map((c) => (c.portOf && !there.has(c.portOf) ? { ...c, portOf: null, position: placeOf(d, c) } : c)),
  );
}

/** A design with the devices of one bus and no other; a port of a logger elsewhere stands where that does. */
export const onBus = <D extends LinksDesign>(d: D, bus: number): D => withOnly(d, devicesOn(d.chain, bus));

/** Where meters that have no address yet are put: above the inverters (common practice). */
const METERS_FROM = 100;

/** Devices of one bus, terminated at both ends of each of its pairs and nowhere else. */
const terminatedAlong = (devices: readonly ChainDevice[]): ChainDevice[] =>
  devices.map((c, i) => ({
    ...c,
    terminated: i === 0 || i === devices.length - 1 || isRepeater(c),
    terminatedBeyond: isRepeater(c),
  }));

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
 * Bus by bus: inverters by position in the chain from 1, past addresses that meters have already; meters without one from 100; terminators at the two
 * ends and nowhere else. A meter keeps the address it has: it may be set on the device.
 */
export function withChainNumbered<D extends LinksDesign>(d: D): D {
  return withDevices(
    d,
    busesOf(d.chain).flatMap((bus) => numbered(devicesOn(d.chain, bus))),
  );
}

function numbered(devices: readonly ChainDevice[]): ChainDevice[] {
  const taken = new Set(devices.flatMap((c) => (c.kind === 'meter' && c.address !== null ? [c.address] : [])));
  const inverters = new Map(
    devices.flatMap((c) => (c.kind === 'inverter' ? [[c.id, nextFree(taken, 1)] as const] : [])),
  );
  const addressOf = (c: ChainDevice) =>
    isUnit(c) ? (inverters.get(c.id) ?? c.address ?? nextFree(taken, METERS_FROM)) : null;
  return terminatedAlong(devices.map((c) => ({ ...c, address: addressOf(c) })));
}

/** The same logger on one more bus, at a port of its own; `taken`: ids that stand already, to which its own is added. */
function portOf(logger: ChainDevice, bus: number, taken: Set<string>): ChainDevice {
  let port = bus;
  while (taken.has(`${logger.id}-port-${port}`)) port++;
  const id = `${logger.id}-port-${port}`;
  taken.add(id);
  const label = `${logger.label} port ${port}`.slice(-NAME_MOST);
  const portOf = logger.portOf ?? logger.id;
  return { ...logger, id, label, portOf, position: null, hopM: null, hopFromId: null, serial: null };
}

/**
 * Units over buses: on each those of the ids given, in that order, terminated at both ends and nowhere else. A logger leads each: those that are
 * there in their order, then further ports of the first; one more than there are buses goes, and so does a repeater that is not named. Without a
 * logger, and for other devices that are not named, all stays as it is.
 */
export function withBuses<D extends LinksDesign>(d: D, buses: readonly (readonly string[])[]): D {
  const byId = new Map(d.chain.devices.map((c) => [c.id, c]));
  const taken = new Set(byId.keys());
  const loggers = d.chain.devices.filter((c) => c.kind === 'logger');
  const [first] = loggers;
  const named = buses.map((ids) => ids.flatMap((id) => byId.get(id) ?? []).filter((c) => c.kind !== 'logger'));
  const placed = new Set(named.flat());
  if (!first || d.chain.devices.some((c) => isUnit(c) && !placed.has(c))) return d;
  return withOnly(
    d,
    named.flatMap((units, i) => {
      const bus = i + 1;
      const line = [loggers[i] ?? portOf(first, bus, taken), ...units];
      return terminatedAlong(line.map((c) => ({ ...c, bus })));
    }),
  );
}

/**
 * A unit at the end of another bus. There it takes over the terminator of whoever was last, where it was last the one before it takes its own; an
 * address that somebody has there already becomes the next that is free.
 */
export function withOnBus<D extends LinksDesign>(d: D, deviceId: string, bus: number): D {
  const unit = d.chain.devices.find((c) => c.id === deviceId);
  if (!unit || unit.bus === bus) return d;
  const stays = devicesOn(d.chain, unit.bus).filter((c) => c !== unit);
  const there = devicesOn(d.chain, bus);
  const wasLast = devicesOn(d.chain, unit.bus).at(-1) === unit;
  const [before, last] = [
    wasLast && unit.terminated ? stays.at(-1) : undefined,
    there.length > 1 ? there.at(-1) : undefined,
  ];
  const taken = new Set(there.flatMap((c) => c.address ?? []));
  const free = unit.address !== null && taken.has(unit.address);
  const moved: ChainDevice = {
    ...unit,
    bus,
    address: free ? nextFree(taken, unit.kind === 'meter' ? METERS_FROM : 1) : unit.address,
    terminated: last?.terminated ?? unit.terminated,
  };
  const others = d.chain.devices.flatMap((c) => {
    if (c === unit) return [];
    if (c === before) return [{ ...c, terminated: true }];
    return [c === last ? { ...c, terminated: false } : c];
  });
  return withOnly(d, [...others, moved]);
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
    'other-ways',
    { otherWays: otherWaysSchema },
    () => 'the ways beside the bus',
    (d, { otherWays }) => ({ ...d, chain: { ...d.chain, otherWays } }),
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
      withOnly(
        d,
        d.chain.devices.filter((c) => c.id !== deviceId),
      ),
  ),
  edit(
    'device-to-bus',
    { deviceId: partId, bus: chainDeviceSchema.shape.bus.unwrap() },
    (d, { deviceId, bus }) => `${d.chain.devices.find((c) => c.id === deviceId)?.label ?? deviceId} to bus ${bus}`,
    (d, { deviceId, bus }) => withOnBus(d, deviceId, bus),
  ),
  edit(
    'chain-buses',
    { buses: z.array(z.array(partId).max(600)).min(1).max(MOST_BUSES) },
    (_, { buses }) => `the chain over ${buses.length} ${buses.length === 1 ? 'bus' : 'buses'}`,
    (d, { buses }) => withBuses(d, buses),
  ),
  edit(
    'number-chain',
    {},
    () => 'addresses and terminators',
    (d) => withChainNumbered(d),
  ),
] as const;
