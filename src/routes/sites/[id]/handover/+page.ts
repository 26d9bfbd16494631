import { openedRecord } from '$lib/client/openRecord';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params, fetch, data }) => ({
  ...data,
  ...(await openedRecord(params.id, fetch)),
});
