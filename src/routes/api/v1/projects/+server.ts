import { answer, bodyText } from '$lib/server/api/answer';
import { PROJECT_MAX_BYTES, importProject, readProject } from '$lib/server/services/projectFile';
import { Problem } from '$lib/server/problem';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ request, locals }) =>
  answer(async () => {
    if (!request.headers.get('content-type')?.startsWith('application/json'))
      throw new Problem(415, 'JSON wanted', 'Send the project file as application/json.');
    return { siteId: await importProject(locals.context, readProject(await bodyText(request, PROJECT_MAX_BYTES))) };
  }, 201);
