import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import { hopBetween } from '../chain';
import type { LinksDesign } from '../part';

/** Cable from every device to every other, m: the same both ways, 0 to itself. The first is where the chain begins. */
export type Costs = readonly (readonly number[])[];

/** Cable of an order of devices, m. */
export function lengthOfM(costs: Costs, order: readonly number[]): number {
  return order.reduce((sum, at, i) => sum + (i ? (costs[order[i - 1] as number]?.[at] ?? Infinity) : 0), 0);
}

/** The cable of every hop there could be in the chain of a design: measured where it was, else over the plan. */
export function hopCosts(design: LinksDesign): Answer<Costs> {
  const { devices } = design.chain;
  const hops = devices.map((from) => devices.map((to) => (from === to ? null : hopBetween(design, from, to))));
  const missing = hops.flatMap((row) =>
    row.flatMap((hop) =>
      hop && hop.cableM === null ? [`route or positions for ${hop.from.label} to ${hop.to.label}`] : [],
    ),
  );
  const [first] = missing;
  return first ? lacking(first) : known(hops.map((row) => row.map((hop) => hop?.cableM ?? 0)));
}
