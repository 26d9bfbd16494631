import { applyEdit } from '$core/edit';
import { editRequest } from '$lib/schemas/api';
import { answer, bodyJson } from '$lib/server/api/answer';
import { orProblem, parsed } from '$lib/server/problem';
import { changeDesign } from '$lib/server/services/designs';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ params, request }) =>
  answer(async () => {
    const { revision, edit } = parsed(editRequest, await bodyJson(request));
    return changeDesign(params.id, revision, (design) => orProblem(() => applyEdit(design, edit)));
  });
