import { Problem, unfit } from '../problem';
import { textFlaws } from './text';

/** A body as text; what is no UTF-8 is refused. */
export function textOf(body: Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(body);
  } catch {
    throw new Problem(400, 'No text', 'The body is no UTF-8.', [{ pointer: '', detail: 'must be UTF-8' }]);
  }
}

/** A body as a JSON document; broken JSON is refused with its place, and so are texts that nothing keeps. */
export function documentOf(body: Uint8Array): unknown {
  const document = read(textOf(body));
  const flaws = textFlaws(document);
  if (flaws.length) throw unfit(flaws, 'The body');
  return document;
}

function read(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch (cause) {
    const why = cause instanceof Error ? cause.message : 'The body is not readable as JSON.';
    throw new Problem(400, 'No JSON', why, [{ pointer: '', detail: 'must be JSON' }]);
  }
}
