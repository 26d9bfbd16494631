import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import type { LinksDesign } from '../part';
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

/**
 * The shortest order of the chain of a design, from its first device on. `lastId`: the device that it has to end at; null: any. Throws RangeError
 * where that is no device behind the first.
 */
export function chainOrder(design: LinksDesign, lastId: string | null, budget: Budget): Answer<ChainOrder> {
  const { devices } = design.chain;
  const end = lastId === null ? null : devices.findIndex((d) => d.id === lastId);
  if (end !== null && end < 1) throw new RangeError(`lastId must name a device behind the first (got ${lastId})`);
  if (devices.length < 2) return lacking('two devices on the chain');
  const costs = hopCosts(design);
  if (costs.value === null) return lacking(...costs.missing);
  const { order, ...found } = shortestChain(costs.value, end, SEED, budget);
  return known({
    ...found,
    ids: order.flatMap((at) => devices[at]?.id ?? []),
    asItIsM: lengthOfM(
      costs.value,
      devices.map((_, i) => i),
    ),
  });
}
