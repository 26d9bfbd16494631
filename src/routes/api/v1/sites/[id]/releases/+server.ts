import { releaseRequest } from '$lib/schemas/site';
import { answer, bodyJson } from '$lib/server/api/answer';
import { parsed } from '$lib/server/problem';
import { releaseDesign } from '$lib/server/services/releases';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ params, request, locals }) =>
  answer(async () => {
    const { revision, by } = parsed(releaseRequest, await bodyJson(request));
    return { letter: await releaseDesign(locals.context, params.id, revision, by) };
  }, 201);
