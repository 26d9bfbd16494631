import { listSites } from '$lib/server/services/designs';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({ sites: await listSites(locals.context) });
