import { error } from '@sveltejs/kit';
import { lineOf } from '$core/site/line';
import { Problem } from '$lib/server/problem';
import { loadDesign } from '$lib/server/services/designs';
import { readLogbook } from '$lib/server/services/records';
import { listReleases } from '$lib/server/services/releases';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ params, locals }) => {
  try {
    const [stored, releases] = await Promise.all([
      loadDesign(locals.context, params.id),
      listReleases(locals.context, params.id),
    ]);
    const { current, unreadable, evidence } = await readLogbook(locals.context, params.id);
    const tagOf = (unit: string) => (current ? lineOf(current.design).tag(unit) : unit);
    const switchOff = evidence.switchOff.map(({ unit, why }) => ({ unit, tag: tagOf(unit), why }));
    return { stored, releases, unreadable, switchOff };
  } catch (cause) {
    if (cause instanceof Problem) error(cause.status, cause.detail);
    throw cause;
  }
};
