import type { Answer } from '../kernel/answer';
import { known, lacking } from '../kernel/answer';
import type { Hop } from './chain';
import { busesOf, devicesOn } from './buses';
import { busHops, unitLoadsOf } from './chain';
import type { BusBudget } from './line/busBudget';
import { busBudget } from './line/busBudget';
import type { Chain, ChainDevice, LinksDesign } from './part';
import { segmentsOf } from './segments';

/** One device with everything else on the chain. */
export interface DeviceOnChain {
  readonly device: ChainDevice;
  readonly others: readonly ChainDevice[];
}

/** What a bus, or one pair of it, computes once for its rules, sheets and screens. */
export interface ChainResult {
  readonly bus: number;
  /** Which of its pairs, counted from 1; null: the bus has no repeater, or it is the whole of it. */
  readonly segment: number | null;
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

/** A bus: as a whole, for who asks and how long that takes, and pair by pair between its repeaters, for what the wires carry. */
export interface BusResult {
  readonly bus: number;
  readonly whole: ChainResult;
  readonly segments: readonly ChainResult[];
}

/** Every bus of a design worked through; the first, empty, where there is no device. */
export const linksResults = (design: LinksDesign): readonly BusResult[] =>
  busesOf(design.chain).map((bus) => busResult(design, bus));

/** Works one bus of a design through. */
export function busResult(design: LinksDesign, bus: number): BusResult {
  const chain = { ...design.chain, devices: devicesOn(design.chain, bus) };
  const hops = busHops(design, bus);
  const whole = resultOf(design, { bus, segment: null, chain, hops });
  const pairs = segmentsOf(chain);
  if (pairs.length === 1) return { bus, whole, segments: [whole] };
  let from = 0;
  const segments = pairs.map((pair, i) => {
    const own = hops.slice(from, (from += pair.devices.length - 1));
    return resultOf(design, { bus, segment: i + 1, chain: pair, hops: own });
  });
  return { bus, whole, segments };
}

/** One pair of a bus, counted from 1. Throws RangeError where it has none of that number. */
export function segmentOf({ segments }: BusResult, nth: number): ChainResult {
  const found = segments[nth - 1];
  if (!found) throw new RangeError(`segment must be 1 to ${segments.length}: a pair of the bus (got ${nth})`);
  return found;
}

/** Works one bus of a design through as a whole: what its wires carry holds only where no repeater cuts it. */
export const chainResult = (design: LinksDesign, bus: number): ChainResult => busResult(design, bus).whole;

function resultOf(
  design: LinksDesign,
  { chain, hops, ...which }: Pick<ChainResult, 'bus' | 'segment' | 'chain' | 'hops'>,
): ChainResult {
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
  return { ...which, chain, hops, lengthM, loads, unitLoads, budget };
}
