import type { Remainder } from '$core/ac/schedule/cableStore';
import { read } from '$lib/client/api';
import type { PageLoad } from './$types';

/** What the company has in store: drums are planned over it. */
export const load: PageLoad = async ({ fetch }) => {
  const { remainders } = await read<{ remainders: Remainder[] }>('/api/v1/shelf', fetch);
  return { remainders };
};
