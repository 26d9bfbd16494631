import { afterEach, describe, expect, it, vi } from 'vitest';
import { ApiProblem, nobodyAnswered, read } from './api';

const answering = (response: () => Response) => void vi.stubGlobal('fetch', async () => response());
const problemOf = () =>
  read('/x').then(
    () => null,
    (cause: unknown) => (cause as ApiProblem).problem,
  );
afterEach(() => void vi.unstubAllGlobals());

describe('a call', () => {
  it('returns what is answered, also where that is nothing', async () => {
    answering(() => Response.json({ nowMs: 1 }));
    expect(await read('/x')).toEqual({ nowMs: 1 });
    answering(() => Response.json(null));
    expect(await read('/x')).toBeNull();
  });
  it('is refused in the words of the server, and not asked again', async () => {
    const refusal = { type: 'about:blank', title: 'Refused', status: 422, detail: 'no', errors: [] };
    answering(() => Response.json(refusal, { status: 422 }));
    const problem = await problemOf();
    expect(problem).toEqual(refusal);
    expect(problem && nobodyAnswered(problem)).toBe(false);
  });
  it.each([
    ['an answer that is cut off', () => new Response('{"nowMs": 1', { status: 200 })],
    ['the page of a network that wants something first', () => new Response('<html>', { status: 200 })],
    ['the same, said by its number', () => new Response('<html>', { status: 511 })],
    ['a gateway', () => Response.json({ message: 'bad gateway' }, { status: 502 })],
    ['too many calls', () => new Response('', { status: 429 })],
    ['a refusal that is not the server’s own', () => new Response('<html>sign in first</html>', { status: 403 })],
    ['the same as JSON', () => Response.json({ error: 'blocked' }, { status: 451 })],
  ])('may be asked again after %s', async (_, response) => {
    answering(response);
    const problem = await problemOf();
    expect(problem?.detail).toContain('does not answer');
    expect(problem && nobodyAnswered(problem)).toBe(true);
  });
});
