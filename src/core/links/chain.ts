import { requirePositive, requireWithin } from '../kernel/require';
import { lineOf } from '../site/line';
import type { Position } from '../site/position';
import type { Way } from '../site/way';
import { waysOf } from '../site/way';
import { busesOf, devicesOn } from './buses';
import type { ChainDevice, LinksDesign } from './part';

/** Slack of a cable laid by hand, share of the route (common practice). */
export const HOP_SLACK = 0.05;

/**
 * Longest RS-485 chain at a bit rate, m: min(1200, 1e8/rate).
 * rate bit/s, above 0 (RangeError else). Common practice; a serial-line guide says 1000 m at 9600.
 */
export function lengthLimitM(bitRate: number): number {
  requirePositive({ bitRate }, 'bitRate');
  return Math.min(1200, 1e8 / bitRate);
}

/** Cable of one hop, m: (1 + σ)·route + what both landed ends take. Lengths in m; σ 0…0.5 (RangeError outside). Common practice. */
export function hopCableM(route: number, entryFromM: number, entryToM: number, slack = HOP_SLACK): number {
  requireWithin('slack', slack, 0, 0.5);
  return (1 + slack) * route + entryFromM + entryToM;
}

export interface Hop {
  readonly from: ChainDevice;
  readonly to: ChainDevice;
  readonly measured: boolean;
  /** Its way over the plan; null while one of its ends is nowhere. */
  readonly way: Way | null;
  /** Null where neither a measured route nor both positions are known. */
  readonly cableM: number | null;
}

/** What was measured between two devices, whichever comes first; null where it was measured to another. */
export function measuredM(from: ChainDevice, to: ChainDevice): number | null {
  if (to.hopFromId === from.id) return to.hopM;
  return from.hopFromId === to.id ? from.hopM : null;
}

/** Where a device stands: at its inverter, a port at its logger, else where it was put; null while nobody said. */
export function placeOf(design: LinksDesign, { inverterId, portOf, position }: ChainDevice): Position | null {
  if (inverterId) return lineOf(design).inverter(inverterId)?.position ?? null;
  return portOf ? (design.chain.devices.find((c) => c.id === portOf)?.position ?? null) : position;
}

/** The hop between two devices of a design, as measured, else over the plan. */
export function hopBetween(design: LinksDesign, from: ChainDevice, to: ChainDevice): Hop {
  const [a, b] = [placeOf(design, from), placeOf(design, to)];
  const way = a && b ? waysOf(design.plan).between('bus', a, b) : null;
  const measured = measuredM(from, to);
  const route = measured ?? way?.lengthM ?? null;
  const cableM = route === null ? null : hopCableM(route, from.entryM, to.entryM);
  return { from, to, measured: measured !== null, way, cableM };
}

/** The hops from device to device in an order, each with its cable. */
export const hopsAlong = (design: LinksDesign, devices: readonly ChainDevice[]): Hop[] =>
  devices.slice(1).map((to, i) => hopBetween(design, devices[i] as ChainDevice, to));
/** The hops of one bus in order. */
export const busHops = (design: LinksDesign, bus: number): Hop[] => hopsAlong(design, devicesOn(design.chain, bus));
/** The hops of every bus, bus by bus. */
export const chainHops = (design: LinksDesign): Hop[] => busesOf(design.chain).flatMap((bus) => busHops(design, bus));

/** Unit loads of a device: its own, or those of the inverter's sheet; null while neither says. */
export function unitLoadsOf(design: LinksDesign, device: ChainDevice): number | null {
  const type = device.inverterId ? lineOf(design).unit(device.inverterId)?.type : undefined;
  return device.unitLoads ?? type?.busUnitLoads ?? null;
}
