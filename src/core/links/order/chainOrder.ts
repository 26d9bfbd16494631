import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import type { LinksDesign } from '../part';
import type { Costs } from './costs';
import { hopCosts, lengthOfM } from './costs';
import type { Budget } from './search';
import type { ShortChain } from './shortestChain';
import { shortestChain } from './shortestChain';

/** An order of the devices of a design, and what the chain takes as it stands, m. */
export interface ChainOrder extends Omit<ShortChain, 'order'> {
  readonly ids: readonly string[];
  readonly asItIsM: number;
}

/** A search begins from one number: the same devices, the same answer. */
const SEED = 1;

/** Where an order has to begin and end. */
export interface Ends {
  /** The device that it has to end at; null: any. */
  readonly lastId: string | null;
  /** Any device may be the first: the logger asks from inside the chain. */
  readonly anyFirst: boolean;
}

/** Devices behind one that is nowhere, from which every hop is free: what begins there may begin at any. */
const fromAnywhere = (costs: Costs): Costs => [[0, ...costs.map(() => 0)], ...costs.map((row) => [0, ...row])];

/**
 * The shortest order of the chain of a design, from its first device on or from any. Throws RangeError where `lastId` is no device that may come
 * last.
 */
export function chainOrder(design: LinksDesign, { lastId, anyFirst }: Ends, budget: Budget): Answer<ChainOrder> {
  const { devices } = design.chain;
  const end = lastId === null ? null : devices.findIndex((d) => d.id === lastId);
  if (end !== null && end < (anyFirst ? 0 : 1))
    throw new RangeError(`lastId must name a device behind the first (got ${lastId})`);
  if (devices.length < 2) return lacking('two devices on the chain');
  const costs = hopCosts(design);
  if (costs.value === null) return lacking(...costs.missing);
  const { order, ...found } = anyFirst
    ? shortestChain(fromAnywhere(costs.value), end === null ? null : end + 1, SEED, budget)
    : shortestChain(costs.value, end, SEED, budget);
  return known({
    ...found,
    ids: order.flatMap((at) => devices[anyFirst ? at - 1 : at]?.id ?? []),
    asItIsM: lengthOfM(
      costs.value,
      devices.map((_, i) => i),
    ),
  });
}
