import { error } from '@sveltejs/kit';
import { fieldData } from '$lib/server/pages';
import { Problem } from '$lib/server/problem';
import { handOver } from '$lib/server/services/handOver';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
  try {
    const { summary, openPoints, waivers, uncounted, chain } = await handOver(locals.context, params.id);
    const log = await fieldData(locals.context, params.id);
    return { ...log, summary, openPoints, waivers, uncounted, chain };
  } catch (cause) {
    if (cause instanceof Problem) error(cause.status, cause.detail);
    throw cause;
  }
};
