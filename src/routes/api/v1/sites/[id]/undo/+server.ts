import { undoRequest } from '$lib/schemas/api';
import { answer, bodyJson } from '$lib/server/api/answer';
import { parsed } from '$lib/server/problem';
import { undoChange } from '$lib/server/services/designs';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ params, request }) =>
  answer(async () => undoChange(params.id, parsed(undoRequest, await bodyJson(request)).revision));
