import { setUpRequest } from '$lib/schemas/field';
import { answer, bodyJson } from '$lib/server/api/answer';
import { parsed } from '$lib/server/problem';
import { giveSetUp } from '$lib/server/services/standIns';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ params, request, locals }) =>
  answer(async () => giveSetUp(locals.context, params.id, parsed(setUpRequest, await bodyJson(request))));
