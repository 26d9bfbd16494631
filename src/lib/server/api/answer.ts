import { json } from '@sveltejs/kit';
import { bodyBytes } from '../body';
import { reported } from '../log';
import { Problem, problemIn } from '../problem';
import { documentOf } from './document';

/** Runs a handler and sends what it says as JSON, or the response that it made; a Problem becomes its problem document, anything else a bare 500 with a number to find it by. */
export async function answer(handler: () => Promise<unknown> | unknown, status = 200): Promise<Response> {
  try {
    const said = await handler();
    return said instanceof Response ? said : json(said, { status });
  } catch (cause) {
    const problem = problemIn(cause);
    if (problem) return problem.response();
    return json(
      {
        type: 'about:blank',
        title: 'Failed inside',
        status: 500,
        detail: `What failed stands ${reported(cause)}.`,
      },
      { status: 500, headers: { 'content-type': 'application/problem+json' } },
    );
  }
}

export function mustBeJson(request: Request): void {
  const type = request.headers.get('content-type')?.split(';')[0]?.trim().toLowerCase();
  if (type === 'application/json') return;
  const detail = 'must be application/json';
  throw new Problem(415, 'JSON wanted', 'Send content-type: application/json.', [
    { in: 'header', pointer: '/content-type', detail },
  ]);
}

/** A JSON body; anything else is refused by its kind, and broken JSON with its place. */
export async function bodyJson(request: Request): Promise<unknown> {
  mustBeJson(request);
  return documentOf(await bodyBytes(request, BODY_MAX_BYTES));
}

/** Largest JSON body that is taken, bytes. */
export const BODY_MAX_BYTES = 5 * 1024 * 1024;

/** JSON that was written elsewhere. As bytes: of a long text the response would make them several times slower. */
export const written = (json: string | Uint8Array<ArrayBuffer> | readonly Uint8Array[]): Response =>
  new Response(typeof json === 'string' ? Buffer.from(json) : 'buffer' in json ? json : oneByOne(json), {
    headers: { 'content-type': 'application/json' },
  });

/** Each piece is sent when the one before it is: others are heard in between. */
function oneByOne(pieces: readonly Uint8Array[]): ReadableStream<Uint8Array> {
  let at = 0;
  return new ReadableStream({
    pull(to) {
      const piece = pieces[at++];
      if (piece) to.enqueue(piece);
      else to.close();
    },
  });
}
