import { photoRequest } from '$lib/schemas/photo';
import { answer, bodyJson } from '$lib/server/api/answer';
import { parsed } from '$lib/server/problem';
import { keepPhoto } from '$lib/server/services/photos';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ params, request, locals }) =>
  answer(
    async () => keepPhoto(locals.context, params.id, parsed(photoRequest, await bodyJson(request), 'The photo')),
    201,
  );
