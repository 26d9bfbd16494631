import { fieldData } from '$lib/server/pages';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, locals }) => fieldData(locals.context, params.id);
