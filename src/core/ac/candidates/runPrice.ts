import type { AcRun } from '../part';
import type { Conductors } from './cableCost';
import { runCost } from './cableCost';
import type { PriceList } from './priceList';
import { priceOf } from './priceList';

/** Prices of a list, with those of the metals that are typed for one look over it. */
export interface Prices {
  readonly Cu: number | null;
  readonly Al: number | null;
  readonly list?: PriceList | null;
}

/** What a run costs, in the list's currency, and by what it was reckoned: priced by the metre and piece, or by its metal. */
export interface RunPrice {
  readonly amount: number;
  readonly by: 'list' | 'metal';
}

/** Price of a metal, per kg: what is typed, else what the list says. */
const metalPrice = (prices: Prices, metal: 'Cu' | 'Al'): number | null =>
  prices[metal] ?? priceOf(prices.list ?? null, { item: 'metal', metal });

/** Price of a breaker of a rating, or null where the list has none. */
export const breakerPrice = (prices: Prices, ratingA: number): number | null =>
  priceOf(prices.list ?? null, { item: 'breaker', ratingA });

const ENDS = 2;

/** Price of the cable of a run and its lugs: by the metre and the piece where the list has both, else by its metal; null where neither is known. */
export function cablePrice(run: AcRun, conductors: Conductors, prices: Prices): RunPrice | null {
  const list = prices.list ?? null;
  const { metal, insulation, cores, sectionMm2 } = run;
  const { parallel, lengthM } = conductors;
  const perM = priceOf(list, { item: 'cable', metal, insulation, cores, sectionMm2 });
  const lug = priceOf(list, { item: 'lug', metal, sectionMm2 });
  if (perM !== null && lug !== null) {
    const cables = cores === '1-core' ? conductors.cores * parallel : parallel;
    return { amount: perM * lengthM * cables + lug * ENDS * conductors.cores * parallel, by: 'list' };
  }
  const kg = metal && metalPrice(prices, metal);
  return kg === null ? null : { amount: runCost(conductors, kg), by: 'metal' };
}
