import { weatherRequest } from '$lib/schemas/energy';
import { answer, bodyJson } from '$lib/server/api/answer';
import { parsed } from '$lib/server/problem';
import { writeWeather } from '$lib/server/services/energy';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = ({ params, request, locals }) =>
  answer(async () =>
    writeWeather(locals.context, params.id, parsed(weatherRequest, await bodyJson(request), 'The weather').weather),
  );
