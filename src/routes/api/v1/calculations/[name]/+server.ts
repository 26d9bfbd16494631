import { answer, bodyJson } from '$lib/server/api/answer';
import { CALCULATIONS, compute, isCalculation } from '$lib/server/api/calculations';
import { Problem, orProblem, parsed } from '$lib/server/problem';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ params, request }) =>
  answer(async () => {
    const { name } = params;
    if (!isCalculation(name))
      throw new Problem(404, 'No such calculation', `There are: ${Object.keys(CALCULATIONS).join(', ')}.`);
    const input = parsed<unknown>(CALCULATIONS[name].request, await bodyJson(request));
    return orProblem(() => compute(name, input));
  });
