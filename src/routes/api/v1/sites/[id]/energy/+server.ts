import { yearRequest } from '$lib/schemas/energy';
import { answer, bodyJson } from '$lib/server/api/answer';
import { parsed } from '$lib/server/problem';
import { newestYear, writeYear } from '$lib/server/services/energy';
import { designHead } from '$lib/server/services/designs';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params, locals }) =>
  answer(async () => {
    await designHead(locals.context, params.id);
    return { newest: await newestYear(locals.context, params.id) };
  });

export const POST: RequestHandler = ({ params, request, locals }) =>
  answer(async () => writeYear(locals.context, params.id, parsed(yearRequest, await bodyJson(request), 'The year')));
