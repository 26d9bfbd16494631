import { createRequest } from '$lib/schemas/site';
import { answer, bodyJson } from '$lib/server/api/answer';
import { parsed } from '$lib/server/problem';
import { copySite } from '$lib/server/services/yard';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ params, request, locals }) =>
  answer(
    async () => ({
      siteId: await copySite(locals.context, params.id, parsed(createRequest, await bodyJson(request)).name),
    }),
    201,
  );
