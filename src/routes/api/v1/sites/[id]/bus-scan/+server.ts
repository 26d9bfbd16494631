import { scanRequest } from '$lib/schemas/field';
import { answer, bodyJson } from '$lib/server/api/answer';
import { parsed } from '$lib/server/problem';
import { busScan } from '$lib/server/services/standIns';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ params, request, locals }) =>
  answer(async () => {
    const asked = parsed(scanRequest, await bodyJson(request));
    const lines = await busScan(locals.context, params.id, asked, request.signal);
    return new Response(lines, { headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store' } });
  });
