import { BODY_MAX_BYTES, answer, mustBeJson, written } from '$lib/server/api/answer';
import { CALCULATIONS } from '$lib/server/api/calculations';
import { bodyBytes } from '$lib/server/body';
import { inThread } from '$lib/server/heavy/pool';
import { Problem } from '$lib/server/problem';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ params: { name }, request }) =>
  answer(async () => {
    if (!Object.hasOwn(CALCULATIONS, name))
      throw new Problem(404, 'No such calculation', `There are: ${Object.keys(CALCULATIONS).join(', ')}.`, [
        { in: 'path', pointer: '/name', detail: 'must be the name of a calculation' },
      ]);
    mustBeJson(request);
    const body = await bodyBytes(request, BODY_MAX_BYTES);
    return written(await inThread('calculate', { name, body }, request.signal));
  });
