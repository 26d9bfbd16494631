import { answer, bodyText, mustBeJson } from '$lib/server/api/answer';
import { PROJECT_MAX_BYTES, importProject, readProject } from '$lib/server/services/projectFile';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ request, locals }) =>
  answer(async () => {
    mustBeJson(request);
    return { siteId: await importProject(locals.context, readProject(await bodyText(request, PROJECT_MAX_BYTES))) };
  }, 201);
