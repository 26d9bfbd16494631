import { backdropRequest } from '$lib/schemas/backdrop';
import { answer, bodyJson } from '$lib/server/api/answer';
import { parsed } from '$lib/server/problem';
import { keepBackdrop } from '$lib/server/services/backdrops';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ params, request, locals }) =>
  answer(
    async () =>
      keepBackdrop(locals.context, params.id, parsed(backdropRequest, await bodyJson(request), 'The picture')),
    201,
  );
