import { answer, written } from '$lib/server/api/answer';
import { bodyBytes } from '$lib/server/body';
import { inThread } from '$lib/server/heavy/pool';
import { SHEET_MAX_BYTES } from '$lib/server/services/sheetFile';
import type { RequestHandler } from './$types';

/** Reads a price list and answers with its prices and with every row that is wrong. Writes nothing. */
export const POST: RequestHandler = ({ request }) =>
  answer(async () => {
    const body = await bodyBytes(request, SHEET_MAX_BYTES);
    return written(await inThread('readPriceList', { body }, request.signal));
  });
