import { json } from '@sveltejs/kit';
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

/** The text of a request body up to a size; larger is refused before it is read whole. */
export async function bodyText(request: Request, maxBytes: number): Promise<string> {
  const tooLarge = () => new Problem(413, 'Too large', `At most ${Math.round(maxBytes / 1024 / 1024)} MiB are taken.`);
  if (Number(request.headers.get('content-length') ?? 0) > maxBytes) throw tooLarge();
  const text = await request.text();
  if (text.length > maxBytes) throw tooLarge();
  return text;
}

/** A JSON body; anything else is refused by its kind, and broken JSON with its place. */
export async function bodyJson(request: Request, maxBytes = 5 * 1024 * 1024): Promise<unknown> {
  if (!request.headers.get('content-type')?.startsWith('application/json'))
    throw new Problem(415, 'JSON wanted', 'Send content-type: application/json.');
  const body = read(await bodyText(request, maxBytes));
  const flaws = textFlaws(body);
  if (flaws.length) throw unfit(flaws, 'The body');
  return body;
}

function read(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch (cause) {
    throw new Problem(400, 'No JSON', cause instanceof Error ? cause.message : 'The body is not readable as JSON.');
  }
}
