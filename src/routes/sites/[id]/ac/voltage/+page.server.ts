import { energyData } from '$lib/server/stringPages';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, locals }) => energyData(locals.context, params.id);
