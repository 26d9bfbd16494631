import type { Handle, HandleServerError, ServerInit } from '@sveltejs/kit';
import { building } from '$app/environment';
import { migrate } from '$lib/server/db/client';
import { loadDemo } from '$lib/server/demo';
import { log } from '$lib/server/log';
import { localContext } from '$lib/server/services/context';
import { Problem } from '$lib/server/problem';

export const init: ServerInit = async () => {
  if (building) return;
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set: start Bolt Yard with ./yard up.');
  await migrate(url);
  if (process.env.YARD_DEMO === '1' && (await loadDemo(localContext()))) log.info('demo company loaded');
};

const LOOPBACK = new Set(['127.0.0.1', 'localhost', '[::1]']);

/** The name the caller used, not the one the server was told it has: a page elsewhere that points its own name here is refused. */
const hostOf = (request: Request) => (request.headers.get('host') ?? '').replace(/:\d+$/, '');

/** Until accounts exist there is no sign-in: only this machine is answered, whatever the server listens on. */
export const handle: Handle = async ({ event, resolve }) => {
  if (!LOOPBACK.has(hostOf(event.request)))
    return new Response('Bolt Yard answers on 127.0.0.1 only until it has accounts.\n', { status: 421 });
  event.locals.context = localContext();
  const started = performance.now();
  const response = await resolve(event);
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'same-origin');
  log.info({
    method: event.request.method,
    path: event.url.pathname,
    status: response.status,
    ms: Math.round(performance.now() - started),
  });
  return response;
};

/** What an unexpected failure shows: a number to find it in the log, nothing of its inside. */
export const handleError: HandleServerError = ({ error, status, message }) => {
  if (error instanceof Problem) return { message: error.detail };
  if (status === 404) return { message };
  const reference = Math.random().toString(36).slice(2, 10);
  log.error({
    reference,
    error: error instanceof Error ? { message: error.message, stack: error.stack } : String(error),
  });
  return {
    message: `Something failed inside. It is in the server log under ${reference}; what was saved before is safe.`,
  };
};
