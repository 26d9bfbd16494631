import { answer } from '$lib/server/api/answer';
import { releaseCost } from '$lib/server/services/releases';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params, locals }) => answer(() => releaseCost(locals.context, params.id));
