import { json } from '@sveltejs/kit';
import { bodyBytes } from '../body';
import { reported } from '../log';
import { Problem, problemIn, unfit } from '../problem';
import { textFlaws } from './text';

/** Runs a handler; a Problem becomes its problem document, anything else a bare 500 with a number to find it by. */
export async function answer(handler: () => Promise<unknown> | unknown, status = 200): Promise<Response> {
  try {
    return json(await handler(), { status });
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

/** A request body up to a size, as text. */
export async function bodyText(request: Request, maxBytes: number): Promise<string> {
  const bytes = await bodyBytes(request, maxBytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw new Problem(400, 'No text', 'The body is no UTF-8.', [{ pointer: '', detail: 'must be UTF-8' }]);
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
export async function bodyJson(request: Request, maxBytes = 5 * 1024 * 1024): Promise<unknown> {
  mustBeJson(request);
  const body = read(await bodyText(request, maxBytes));
  const flaws = textFlaws(body);
  if (flaws.length) throw unfit(flaws, 'The body');
  return body;
}

function read(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch (cause) {
    const why = cause instanceof Error ? cause.message : 'The body is not readable as JSON.';
    throw new Problem(400, 'No JSON', why, [{ pointer: '', detail: 'must be JSON' }]);
  }
}
