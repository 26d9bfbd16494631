import { answer, bodyJson, written } from '$lib/server/api/answer';
import { recordSinceSchema } from '$lib/schemas/record';
import { parsedQuery } from '$lib/server/problem';
import { openedRecord } from '$lib/server/services/openedSite';
import { addRecord } from '$lib/server/services/records';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params, url, locals }) =>
  answer(async () => {
    const since = parsedQuery(recordSinceSchema, url);
    return written(await openedRecord(locals.context, params.id, since));
  });

export const POST: RequestHandler = ({ params, request, locals }) =>
  answer(async () => addRecord(locals.context, params.id, await bodyJson(request)), 201);
