import { error } from '@sveltejs/kit';
import { inThread } from '$lib/server/heavy/pool';
import { Problem } from '$lib/server/problem';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
  try {
    return await inThread('handOverParts', { siteId: params.id });
  } catch (cause) {
    if (cause instanceof Problem) error(cause.status, cause.detail);
    throw cause;
  }
};
