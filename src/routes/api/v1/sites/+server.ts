import { createRequest } from '$lib/schemas/site';
import { answer, bodyJson } from '$lib/server/api/answer';
import { parsed } from '$lib/server/problem';
import { createSite } from '$lib/server/services/designs';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ request, locals }) =>
  answer(
    async () => ({ siteId: await createSite(locals.context, parsed(createRequest, await bodyJson(request)).name) }),
    201,
  );
