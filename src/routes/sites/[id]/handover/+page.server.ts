import { error } from '@sveltejs/kit';
import { Problem } from '$lib/server/problem';
import { handOver } from '$lib/server/services/handOver';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
  try {
    const { summary, openPoints, waivers } = await handOver(locals.context, params.id);
    return { summary, openPoints, waivers };
  } catch (cause) {
    if (cause instanceof Problem) error(cause.status, cause.detail);
    throw cause;
  }
};
