import { pictureAnswer } from '$lib/server/pictureAnswer';
import { readPhoto } from '$lib/server/services/photos';
import type { RequestHandler } from './$types';

/** A photo of the record. */
export const GET: RequestHandler = ({ params, locals }) =>
  pictureAnswer(() => readPhoto(locals.context, params.id, params.photo));
