import type { Answer } from '../kernel/answer';
import { known, lacking } from '../kernel/answer';
import type { Hop } from './chain';
import { busesOf, devicesOn } from './buses';
import { busHops, unitLoadsOf } from './chain';
import type { BusBudget } from './line/busBudget';
import { busBudget } from './line/busBudget';
import type { Chain, ChainDevice, LinksDesign } from './part';

/** One device with everything else on the chain. */
export interface DeviceOnChain {
  readonly device: ChainDevice;
  readonly others: readonly ChainDevice[];
}

/** What a bus computes once for its rules, sheets and screens. */
export interface ChainResult {
  readonly bus: number;
  readonly chain: Chain;
  readonly hops: readonly Hop[];
  /** Cable of the whole chain, m. */
  readonly lengthM: Answer<number>;
  /** Σ of the unit loads of all devices. */
  readonly unitLoads: Answer<number>;
  /** Unit loads of every device in the order of the chain; null where nobody said. */
  readonly loads: readonly (number | null)[];
  readonly budget: BusBudget;
}

/** Every bus of a design worked through; the first, empty, where there is no device. */
export const linksResults = (design: LinksDesign): readonly ChainResult[] =>
  busesOf(design.chain).map((bus) => chainResult(design, bus));

/** Works one bus of a design through. */
export function chainResult(design: LinksDesign, bus: number): ChainResult {
  const chain = { ...design.chain, devices: devicesOn(design.chain, bus) };
  const hops = busHops(design, bus);
  const loads = chain.devices.map((device) => unitLoadsOf(design, device));
  const summed = (values: readonly (number | null)[], missing: readonly string[]): Answer<number> =>
    missing.length ? lacking(...missing) : known(values.reduce<number>((sum, v) => sum + (v ?? 0), 0));
  const lengthM = summed(
    hops.map((h) => h.cableM),
    hops.filter((h) => h.cableM === null).map((h) => `route or positions for ${h.from.label} to ${h.to.label}`),
  );
  const unitLoads = summed(
    loads,
    chain.devices.flatMap((device, i) => (loads[i] === null ? [`unit loads of ${device.label}`] : [])),
  );
  const budget = busBudget({ chain, hops, lengthM, loads, unitLoads });
  return { bus, chain, hops, lengthM, loads, unitLoads, budget };
}
