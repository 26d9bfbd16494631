import { error } from '@sveltejs/kit';
import { Problem } from '$lib/server/problem';
import { loadDesign } from '$lib/server/services/designs';
import { listReleases } from '$lib/server/services/records';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ params }) => {
  try {
    const [stored, releases] = await Promise.all([loadDesign(params.id), listReleases(params.id)]);
    return { stored, releases };
  } catch (cause) {
    if (cause instanceof Problem) error(cause.status, cause.detail);
    throw cause;
  }
};
