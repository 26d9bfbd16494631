import { answer, bodyJson } from '$lib/server/api/answer';
import { addRecord } from '$lib/server/services/records';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ params, request, locals }) =>
  answer(async () => {
    const { record, judged, known } = await addRecord(locals.context, params.id, await bodyJson(request));
    return { record, verdict: judged.verdict, checks: judged.checks, known };
  }, 201);
