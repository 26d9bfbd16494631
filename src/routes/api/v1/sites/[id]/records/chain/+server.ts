import { answer } from '$lib/server/api/answer';
import { designHead } from '$lib/server/services/designs';
import { verifyRecord } from '$lib/server/services/records';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params, locals }) =>
  answer(async () => {
    await designHead(locals.context, params.id);
    return verifyRecord(locals.context, params.id);
  });
