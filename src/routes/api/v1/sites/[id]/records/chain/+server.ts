import { answer } from '$lib/server/api/answer';
import { inThread } from '$lib/server/heavy/pool';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params, request }) =>
  answer(() => inThread('checkChain', { siteId: params.id }, request.signal));
