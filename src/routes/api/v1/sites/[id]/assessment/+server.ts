import { assessSite } from '$core/design/assess';
import { answer } from '$lib/server/api/answer';
import { loadDesign } from '$lib/server/services/designs';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params, locals }) =>
  answer(async () => assessSite((await loadDesign(locals.context, params.id)).design));
