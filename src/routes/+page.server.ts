import { listSites } from '$lib/server/services/yard';
import { sitesToSwitchOff } from '$lib/server/services/records';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const [sites, switchOff] = await Promise.all([listSites(locals.context), sitesToSwitchOff(locals.context)]);
  return { sites, switchOff };
};
