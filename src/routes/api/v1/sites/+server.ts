import { createRequest } from '$lib/schemas/site';
import { answer, bodyJson } from '$lib/server/api/answer';
import { parsed } from '$lib/server/problem';
import { createSite } from '$lib/server/services/designs';
import { listSites } from '$lib/server/services/yard';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ locals }) => answer(() => listSites(locals.context));

export const POST: RequestHandler = ({ request, locals }) =>
  answer(
    async () => ({ siteId: await createSite(locals.context, parsed(createRequest, await bodyJson(request)).name) }),
    201,
  );
