import { page } from '$app/state';
import { busesOf } from '$core/links/buses';
import type { Chain } from '$core/links/part';

/** Name of the bus in an address. */
export const BUS_QUERY = 'bus';

/** The bus that the address of the page names, where the chain has it; else its first. */
export function chosenBus(chain: Chain): number {
  const buses = busesOf(chain);
  const named = Number(page.url.searchParams.get(BUS_QUERY));
  return buses.find((bus) => bus === named) ?? (buses[0] as number);
}
