import { answer, bodyJson } from '$lib/server/api/answer';
import { parsed } from '$lib/server/problem';
import { standInsNow, steerStandIns } from '$lib/server/services/standIns';
import { orderSchema } from '$lib/schemas/standIns/steering';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = () => answer(standInsNow);
export const POST: RequestHandler = ({ request }) =>
  answer(async () => steerStandIns(parsed(orderSchema, await bodyJson(request))));
