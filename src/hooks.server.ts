import type { Handle, HandleServerError, ServerInit } from '@sveltejs/kit';
import { building } from '$app/environment';
import { hasItsShape } from '$lib/server/db/client';
import { loadDemo } from '$lib/server/demo';
import { drained } from '$lib/server/body';
import { refusedAtDoor } from '$lib/server/guard';
import { inThread } from '$lib/server/heavy/pool';
import { inOrder } from '$lib/server/inOrder';
import { log, reported } from '$lib/server/log';
import { localContext, summedHere } from '$lib/server/services/context';
import type { Context } from '$lib/server/services/context';
import { Problem, RETRY_AFTER_S, problemIn } from '$lib/server/problem';

export const init: ServerInit = async () => {
  if (building) return;
  if (!(await hasItsShape()))
    throw new Error('The database has not the shape of this program: its owner runs node scripts/migrate.mjs first.');
  if (process.env.YARD_DEMO === '1' && (await loadDemo(localContext()))) log.info('demo company loaded');
};

export const handle: Handle = async ({ event, resolve }) => {
  const refused = refusedAtDoor(event.request);
  if (refused) return onceDrained(event.request, refused.response());
  event.locals.context = { ...localContext(), summed: summedApart };
  const started = performance.now();
  const work = async () => resolve(event);
  // Whoever asks whether the process is well hears it, however much it has to do.
  const answered = await (event.url.pathname === '/healthz' ? work() : inOrder(work));
  const resolved = unlessAway(answered, event.locals.away === true);
  const response = await onceDrained(event.request, inProblemWords(event.url.pathname, resolved));
  log.info({
    method: event.request.method,
    path: event.url.pathname,
    status: response.status,
    ms: Math.round(performance.now() - started),
  });
  return response;
};

/** In a thread, unless there is no room. */
const summedApart: Context['summed'] = (siteId, stored) =>
  inThread('summarise', { siteId }).catch(() => summedHere(siteId, stored));

/** An answer once its request has been taken in; where it is too large for that the connection ends with the answer. */
async function onceDrained(request: Request, response: Response): Promise<Response> {
  if (!(await drained(request))) response.headers.set('connection', 'close');
  return response;
}

/** A page that failed because the database is away is no fault of the program: it may be asked again. */
function unlessAway(response: Response, away: boolean): Response {
  if (response.status !== 500 || !away) return response;
  const headers = new Headers(response.headers);
  headers.set('retry-after', String(RETRY_AFTER_S));
  return new Response(response.body, { status: 503, headers });
}

/** What programs are told where no handler of ours spoke: an address that is none, a method that it does not take. */
const REFUSED: Readonly<Record<number, readonly [title: string, detail: string, at: 'path' | 'method']>> = {
  404: ['No such address', 'Nothing is at this address; /api/v1/openapi.json lists what there is.', 'path'],
  405: ['Not this way', 'This address does not take this method; the header `allow` names those it takes.', 'method'],
};
function inProblemWords(path: string, response: Response): Response {
  const said = REFUSED[response.status];
  const problem = response.headers.get('content-type')?.startsWith('application/problem+json');
  if (!path.startsWith('/api/') || !said || problem) return response;
  const [title, detail, at] = said;
  const made = new Problem(response.status as 404 | 405, title, detail, [{ in: at, pointer: '', detail }]).response();
  const allow = response.headers.get('allow');
  if (allow) made.headers.set('allow', allow);
  return made;
}

/** What an unexpected failure shows: a number to find it in the log, nothing of its inside. */
export const handleError: HandleServerError = ({ error, event, status, message }) => {
  const problem = problemIn(error);
  if (problem?.status === 503) event.locals.away = true;
  if (problem) return { message: problem.detail };
  if (status === 404) return { message };
  return {
    message: `Something failed inside. What failed stands ${reported(error)}; what was saved before is safe.`,
  };
};
