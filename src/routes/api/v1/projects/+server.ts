import { answer, mustBeJson } from '$lib/server/api/answer';
import { bodyBytes } from '$lib/server/body';
import { inThread } from '$lib/server/heavy/pool';
import { PROJECT_MAX_BYTES } from '$lib/server/services/projectFile';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ request }) =>
  answer(async () => {
    mustBeJson(request);
    const body = await bodyBytes(request, PROJECT_MAX_BYTES);
    return { siteId: await inThread('takeProject', { body }) };
  }, 201);
