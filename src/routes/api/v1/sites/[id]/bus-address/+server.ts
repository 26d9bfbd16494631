import { addressRequest } from '$lib/schemas/field';
import { answer, bodyJson } from '$lib/server/api/answer';
import { parsed } from '$lib/server/problem';
import { giveAddress } from '$lib/server/services/standIns';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ params, request, locals }) =>
  answer(async () => giveAddress(locals.context, params.id, parsed(addressRequest, await bodyJson(request))));
