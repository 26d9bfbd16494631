import type { ProblemDocument } from '$lib/schemas/problem';
import { problemSchema } from '$lib/schemas/problem';

/** A call that the server refused, with its reason and the fields it points at. */
export class ApiProblem extends Error {
  constructor(readonly problem: ProblemDocument) {
    super(problem.detail);
  }
}

const noAnswer = (): ProblemDocument => ({
  type: 'about:blank',
  title: 'No answer',
  status: 0,
  detail: 'The server does not answer. What you entered is still here: try again when it is back.',
});

/** Nothing of what was asked was looked at: silence, a server that is busy, or a network that wants something first. */
const NOT_LOOKED_AT = new Set([0, 408, 429, 502, 503, 504, 511]);

/** It may be asked again. */
export const nobodyAnswered = ({ status }: ProblemDocument): boolean => NOT_LOOKED_AT.has(status);

/** After so long without a word a line that hangs is taken for dead, where what was sent may be sent again, ms. */
export const PATIENCE_MS = 30_000;
/** A field screen goes on with what the device knows of the record where nobody speaks for so long, ms. */
export const RECORD_PATIENCE_MS = 15_000;
/** So long after it was said last, what a screen shows is said to be of then, ms. */
export const SILENT_AFTER_MS = 20_000;

/** Reads JSON; a refusal or silence is thrown as ApiProblem. */
export async function read<T>(path: string, fetch = globalThis.fetch, patienceMs = PATIENCE_MS): Promise<T> {
  return answered<T>((signal) => fetch(path, { signal }), patienceMs);
}

/** Posts JSON and returns the answer; a refusal or silence is thrown as ApiProblem. It waits as long as it takes unless told otherwise. */
export async function post<T>(path: string, body: unknown, patienceMs?: number): Promise<T> {
  const ask = (signal: AbortSignal) =>
    fetch(path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: typeof body === 'string' ? body : JSON.stringify(body),
      signal,
    });
  return answered<T>(ask, patienceMs);
}

/** Sends a file as it is and returns what it says; a refusal or silence is thrown as ApiProblem. */
export async function upload<T>(path: string, file: Blob): Promise<T> {
  const headers = { 'content-type': 'application/octet-stream' };
  return answered<T>(() => fetch(path, { method: 'POST', headers, body: file }));
}

async function answered<T>(ask: (signal: AbortSignal) => Promise<Response>, patienceMs?: number): Promise<T> {
  const silence = new AbortController();
  const timer = patienceMs === undefined ? undefined : setTimeout(() => silence.abort(), patienceMs);
  let response: Response;
  try {
    response = await ask(silence.signal);
  } catch {
    throw new ApiProblem(noAnswer());
  } finally {
    // It speaks: what it says may take its time.
    clearTimeout(timer);
  }
  // Cut off on its way, nothing is known of it: as if nobody had answered.
  const answer: unknown = await response.json().catch(() => undefined);
  if (response.ok && answer !== undefined) return answer as T;
  const problem = problemSchema.safeParse(answer).data;
  // A refusal in other words than the server's came from what stands between, and the server has not heard of it: nobody answered.
  throw new ApiProblem(problem ?? { ...noAnswer(), status: response.status >= 500 ? response.status : 0 });
}
