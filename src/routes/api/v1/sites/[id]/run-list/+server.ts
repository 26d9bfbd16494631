import { answer, written } from '$lib/server/api/answer';
import { bodyBytes } from '$lib/server/body';
import { inThread } from '$lib/server/heavy/pool';
import { designHead } from '$lib/server/services/designs';
import { SHEET_MAX_BYTES } from '$lib/server/services/sheetFile';
import type { RequestHandler } from './$types';

/** Reads a list against the design and answers with the runs it describes and with every row that is wrong. Writes nothing. */
export const POST: RequestHandler = ({ params, request, locals }) =>
  answer(async () => {
    await designHead(locals.context, params.id);
    const body = await bodyBytes(request, SHEET_MAX_BYTES);
    return written(await inThread('readRunList', { siteId: params.id, body }, request.signal));
  });
