import { editRequest } from '$lib/schemas/site';
import { answer, bodyJson } from '$lib/server/api/answer';
import { parsed } from '$lib/server/problem';
import { editDesign } from '$lib/server/services/designs';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ params, request, locals }) =>
  answer(async () => {
    const asked = parsed(editRequest, await bodyJson(request));
    return editDesign(locals.context, params.id, asked);
  });
