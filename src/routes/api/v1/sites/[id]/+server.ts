import { answer, written } from '$lib/server/api/answer';
import { openedSite } from '$lib/server/services/openedSite';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params, locals }) =>
  answer(async () => written(await openedSite(locals.context, params.id)));
