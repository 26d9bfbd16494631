import { storeChangeSchema } from '$lib/schemas/shelf';
import { answer, bodyJson } from '$lib/server/api/answer';
import { parsed } from '$lib/server/problem';
import { changeStore, readShelf } from '$lib/server/services/shelf';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ request, locals }) =>
  answer(async () => {
    await changeStore(locals.context, parsed(storeChangeSchema, await bodyJson(request)));
    const { remainders } = await readShelf(locals.context);
    return { remainders };
  });
