import { pictureAnswer } from '$lib/server/pictureAnswer';
import { readBackdrop } from '$lib/server/services/backdrops';
import type { RequestHandler } from './$types';

/** The picture behind the plan. */
export const GET: RequestHandler = ({ params, locals }) =>
  pictureAnswer(() => readBackdrop(locals.context, params.id, params.backdrop));
