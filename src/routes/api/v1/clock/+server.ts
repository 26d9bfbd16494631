import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ locals }) =>
  json({ nowMs: locals.context.now().getTime() }, { headers: { 'cache-control': 'no-store' } });
