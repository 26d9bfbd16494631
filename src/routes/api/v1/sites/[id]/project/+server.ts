import { answer, written } from '$lib/server/api/answer';
import { inThread } from '$lib/server/heavy/pool';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, request }) => {
  const response = await answer(async () =>
    written(await inThread('giveProject', { siteId: params.id }, request.signal)),
  );
  if (response.ok)
    response.headers.set('content-disposition', `attachment; filename="bolt-yard-${params.id}.project.json"`);
  return response;
};
