import { shelfRequest } from '$lib/schemas/api';
import { answer, bodyJson } from '$lib/server/api/answer';
import { parsed } from '$lib/server/problem';
import { putOnShelf, readShelf } from '$lib/server/services/shelf';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = () => answer(readShelf);

export const POST: RequestHandler = ({ request }) =>
  answer(async () => {
    const { kind, sheet } = parsed(shelfRequest, await bodyJson(request));
    await putOnShelf(kind, sheet);
    return { id: sheet.id };
  }, 201);
