import { answer, bodyJson, written } from '$lib/server/api/answer';
import { openedRecord } from '$lib/server/services/openedSite';
import { addRecord } from '$lib/server/services/records';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params, locals }) =>
  answer(async () => written(await openedRecord(locals.context, params.id)));

export const POST: RequestHandler = ({ params, request, locals }) =>
  answer(async () => addRecord(locals.context, params.id, await bodyJson(request)), 201);
