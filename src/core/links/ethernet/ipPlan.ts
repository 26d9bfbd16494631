import { requireWithin } from '../../kernel/require';

/** Ethernet from unit to unit: addresses, hops, and what every hop costs. */

const BITS = 32;
/** Longest hop, m: 90 fixed and 10 of cords (ISO/IEC 11801; recalled). */
export const HOP_MOST_M = 100;

function ofText(field: string, text: string): number {
  const parts = text.split('.');
  if (parts.length !== 4 || parts.some((p) => !/^\d{1,3}$/.test(p) || Number(p) > 255))
    throw new RangeError(`${field} must be four numbers from 0 to 255, as 192.0.2.0 (got ${text})`);
  return parts.reduce((sum, p) => sum * 256 + Number(p), 0);
}
const toText = (n: number) => [24, 16, 8, 0].map((shift) => Math.floor(n / 2 ** shift) % 256).join('.');

interface Wanted {
  readonly network: string;
  /** 8 to 30. */
  readonly prefix: number;
  readonly gateway: string;
  /** The first host given, counted from the network’s own address. */
  readonly first: number;
  /** Addresses that are not given. */
  readonly reserved: readonly string[];
  readonly units: number;
}

/**
 * Addresses of so many units, one after the other from the first, past the gateway and what is reserved, without the network's and the broadcast.
 * Throws RangeError for a network that is off its prefix or has not the gateway, and where it is full.
 */
export function ipPlan({ network, prefix, gateway, first, reserved, units }: Wanted): string[] {
  requireWithin('prefix', prefix, 8, 30);
  requireWithin('units', units, 0, 247);
  const size = 2 ** (BITS - prefix);
  const base = ofText('network', network);
  if (base % size !== 0)
    throw new RangeError(`network must begin at a multiple of its ${size} addresses (got ${network}/${prefix})`);
  const way = ofText('gateway', gateway);
  if (way <= base || way >= base + size - 1)
    throw new RangeError(`gateway must be a host of ${network}/${prefix} (got ${gateway})`);
  requireWithin('first', first, 1, size - 2);
  const taken = new Set([way, ...reserved.map((r) => ofText('reserved', r))]);
  const given: string[] = [];
  for (let host = base + first; given.length < units; host++) {
    if (host >= base + size - 1)
      throw new RangeError(
        `units must fit: ${network}/${prefix} has room for ${given.length} from ${toText(base + first)} on (got ${units})`,
      );
    if (!taken.has(host)) given.push(toText(host));
  }
  return given;
}

/** Longest prefix with room for so many hosts, the gateway among them: 32 − ⌈log₂(h + 2)⌉. */
export function longestPrefix(hosts: number): number {
  requireWithin('hosts', hosts, 1, 2 ** 24);
  return BITS - Math.ceil(Math.log2(hosts + 2));
}

/** What so many hops that store and forward add, µs, for a frame of so many bytes with its gap at so many Mbit/s. */
export function forwardUs(hops: number, bytes = 1538, mbitPerS = 100): number {
  requireWithin('hops', hops, 0, 1000);
  return (hops * bytes * 8) / mbitPerS;
}
