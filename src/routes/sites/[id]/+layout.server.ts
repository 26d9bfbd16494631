import { error } from '@sveltejs/kit';
import { Problem } from '$lib/server/problem';
import { loadDesign } from '$lib/server/services/designs';
import { listReleases } from '$lib/server/services/records';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ params, locals }) => {
  try {
    const [stored, releases] = await Promise.all([
      loadDesign(locals.context, params.id),
      listReleases(locals.context, params.id),
    ]);
    return { stored, releases };
  } catch (cause) {
    if (cause instanceof Problem) error(cause.status, cause.detail);
    throw cause;
  }
};
