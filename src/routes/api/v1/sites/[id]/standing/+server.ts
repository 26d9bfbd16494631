import { standingRequest } from '$lib/schemas/site';
import { answer, bodyJson } from '$lib/server/api/answer';
import { parsed } from '$lib/server/problem';
import { setStanding } from '$lib/server/services/yard';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ params, request, locals }) =>
  answer(async () => setStanding(locals.context, params.id, parsed(standingRequest, await bodyJson(request)).standing));
