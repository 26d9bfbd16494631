import { shelfRequest } from '$lib/schemas/shelf';
import { answer, bodyJson } from '$lib/server/api/answer';
import { parsed } from '$lib/server/problem';
import { putOnShelf, readShelf, shelfId } from '$lib/server/services/shelf';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ locals }) => answer(() => readShelf(locals.context));

export const POST: RequestHandler = ({ request, locals }) =>
  answer(async () => {
    const { kind, sheet } = parsed(shelfRequest, await bodyJson(request));
    await putOnShelf(locals.context, kind, sheet);
    return { id: shelfId(sheet) };
  }, 201);
