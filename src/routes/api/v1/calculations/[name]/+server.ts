import { answer, bodyJson } from '$lib/server/api/answer';
import { CALCULATIONS } from '$lib/server/api/calculations';
import { Problem, orProblem, parsed } from '$lib/server/problem';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ params, request }) =>
  answer(async () => {
    const calculation = Object.hasOwn(CALCULATIONS, params.name) ? CALCULATIONS[params.name] : undefined;
    if (!calculation)
      throw new Problem(404, 'No such calculation', `There are: ${Object.keys(CALCULATIONS).join(', ')}.`, [
        { in: 'path', pointer: '/name', detail: 'must be the name of a calculation' },
      ]);
    const input = parsed<unknown>(calculation.input, await bodyJson(request));
    return orProblem(() => calculation.run(input));
  });
