import { answer, written } from '$lib/server/api/answer';
import { assessment } from '$lib/server/heavy/assessments';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params, request, locals }) =>
  answer(async () => written(await assessment(locals.context, params.id, request.signal)));
