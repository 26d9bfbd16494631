import { readShelf } from '$lib/server/services/shelf';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({ shelf: await readShelf(locals.context) });
