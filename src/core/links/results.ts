import type { Answer } from '../kernel/answer';
import { known, lacking } from '../kernel/answer';
import type { Hop } from './chain';
import { chainHops, unitLoadsOf } from './chain';
import type { BusBudget } from './line/busBudget';
import { busBudget } from './line/busBudget';
import type { Chain, ChainDevice, LinksDesign } from './part';

/** One device with everything else on the chain. */
export interface DeviceOnChain {
  readonly device: ChainDevice;
  readonly others: readonly ChainDevice[];
}

/** What the chain computes once for its rules, sheets and screens. */
export interface ChainResult {
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

/** Works the chain through. */
export function linksResults(design: LinksDesign): ChainResult {
  const { chain } = design;
  const hops = chainHops(design);
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
  return { chain, hops, lengthM, loads, unitLoads, budget };
}
