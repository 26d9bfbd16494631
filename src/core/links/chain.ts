import type { InverterType } from '../equipment/inverterType';
import { requirePositive, requireWithin } from '../kernel/require';
import type { ChainDevice, Position, SiteDesign } from '../site/siteDesign';

/** Slack of a cable laid by hand, share of the route (common practice). */
export const SLACK = 0.05;

/** Longest RS-485 chain at a bit rate, m: min(1200, 1e8/rate). Common practice; a serial-line guide says 1000 m at 9600. */
export function lengthLimitM(bitRate: number): number {
  requirePositive({ bitRate }, 'bitRate');
  return Math.min(1200, 1e8 / bitRate);
}

/** Route along walls and trays between two places, m: |Δx| + |Δy| + |Δz|. */
export function routeM(a: Position, b: Position): number {
  return Math.abs(a.xM - b.xM) + Math.abs(a.yM - b.yM) + Math.abs(a.zM - b.zM);
}

/** Cable of one hop, m: (1 + σ)·route + what both landed ends take. σ 0…0.5. */
export function hopCableM(route: number, entryFromM: number, entryToM: number, slack = SLACK): number {
  requireWithin('slack', slack, 0, 0.5);
  return (1 + slack) * route + entryFromM + entryToM;
}

export interface Hop {
  readonly from: ChainDevice;
  readonly to: ChainDevice;
  /** Null where neither a measured route nor both positions are known. */
  readonly cableM: number | null;
}

/** The hops in order, each with its cable. */
export function chainHops(design: SiteDesign): Hop[] {
  const inverters = new Map(design.inverters.map((i) => [i.id, i]));
  const positionOf = (d: ChainDevice) => (d.inverterId ? inverters.get(d.inverterId)?.position : d.position) ?? null;
  return design.chain.devices.slice(1).map((to, i) => {
    const from = design.chain.devices[i] as ChainDevice;
    const [a, b] = [positionOf(from), positionOf(to)];
    const route = to.hopM ?? (a && b ? routeM(a, b) : null);
    return { from, to, cableM: route === null ? null : hopCableM(route, from.entryM, to.entryM) };
  });
}

/** Length of the whole chain, m, and which hops are not known yet. */
export function chainLengthM(design: SiteDesign): { readonly lengthM: number; readonly missing: readonly string[] } {
  const hops = chainHops(design);
  return {
    lengthM: hops.reduce((sum, h) => sum + (h.cableM ?? 0), 0),
    missing: hops
      .filter((h) => h.cableM === null)
      .map((h) => `route or positions for ${h.from.label} to ${h.to.label}`),
  };
}

/** Sum of unit loads, and which devices do not say theirs. */
export function unitLoadsOf(
  design: SiteDesign,
  types: ReadonlyMap<string, InverterType>,
): { readonly unitLoads: number; readonly missing: readonly string[] } {
  const inverters = new Map(design.inverters.map((i) => [i.id, i]));
  const loadOf = (d: ChainDevice) => {
    const inverter = d.inverterId ? inverters.get(d.inverterId) : undefined;
    return d.unitLoads ?? (inverter ? types.get(inverter.typeId)?.busUnitLoads : null) ?? null;
  };
  const devices = design.chain.devices.map((d) => ({ d, load: loadOf(d) }));
  return {
    unitLoads: devices.reduce((sum, { load }) => sum + (load ?? 0), 0),
    missing: devices.filter(({ load }) => load === null).map(({ d }) => `unit loads of ${d.label}`),
  };
}
