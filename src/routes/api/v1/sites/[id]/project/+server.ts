import { answer } from '$lib/server/api/answer';
import { exportProject } from '$lib/server/services/projectFile';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, locals }) => {
  const response = await answer(() => exportProject(locals.context, params.id));
  if (response.ok)
    response.headers.set('content-disposition', `attachment; filename="bolt-yard-${params.id}.project.json"`);
  return response;
};
