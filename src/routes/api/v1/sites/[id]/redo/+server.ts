import { undoRequest } from '$lib/schemas/site';
import { answer, bodyJson } from '$lib/server/api/answer';
import { parsed } from '$lib/server/problem';
import { redoChange } from '$lib/server/services/designs';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ params, request, locals }) =>
  answer(async () => redoChange(locals.context, params.id, parsed(undoRequest, await bodyJson(request))));
