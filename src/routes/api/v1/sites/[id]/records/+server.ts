import { answer, bodyJson } from '$lib/server/api/answer';
import { loadDesign } from '$lib/server/services/designs';
import { addRecord, readLogbook } from '$lib/server/services/records';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params, locals }) =>
  answer(async () => {
    await loadDesign(locals.context, params.id);
    const { releases, entries } = await readLogbook(locals.context, params.id);
    return { releases, entries };
  });

export const POST: RequestHandler = ({ params, request, locals }) =>
  answer(async () => addRecord(locals.context, params.id, await bodyJson(request)), 201);
