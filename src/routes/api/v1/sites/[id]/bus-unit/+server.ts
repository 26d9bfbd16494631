import { unitRequest } from '$lib/schemas/field';
import { answer, bodyJson } from '$lib/server/api/answer';
import { parsed } from '$lib/server/problem';
import { readUnit } from '$lib/server/services/standIns';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ params, request, locals }) =>
  answer(async () => readUnit(locals.context, params.id, parsed(unitRequest, await bodyJson(request))));
