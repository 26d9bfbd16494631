import { error } from '@sveltejs/kit';
import { fieldData } from '$lib/server/pages';
import { Problem } from '$lib/server/problem';
import { inThread } from '$lib/server/heavy/pool';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
  try {
    const parts = await inThread('handOverParts', { siteId: params.id });
    return { ...(await fieldData(locals.context, params.id)), ...parts };
  } catch (cause) {
    if (cause instanceof Problem) error(cause.status, cause.detail);
    throw cause;
  }
};
