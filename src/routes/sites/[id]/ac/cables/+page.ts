import type { PriceList } from '$core/ac/candidates/priceList';
import { read } from '$lib/client/api';
import type { PageLoad } from './$types';

/** The company's prices: cables are compared by them. */
export const load: PageLoad = async ({ fetch }) => {
  const { prices } = await read<{ prices: PriceList | null }>('/api/v1/shelf', fetch);
  return { prices };
};
