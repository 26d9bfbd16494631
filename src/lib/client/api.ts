import type { ProblemDocument } from '$lib/schemas/problem';

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

/** A silence, or a server that is busy: it may be asked again. */
export const nobodyAnswered = ({ status }: ProblemDocument): boolean => [0, 502, 503, 504].includes(status);

/** Reads JSON; a refusal or silence is thrown as ApiProblem. */
export async function read<T>(path: string, fetch = globalThis.fetch): Promise<T> {
  return answered<T>(() => fetch(path));
}

/** Posts JSON and returns the answer; a refusal or silence is thrown as ApiProblem. */
export async function post<T>(path: string, body: unknown): Promise<T> {
  return answered<T>(() =>
    fetch(path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: typeof body === 'string' ? body : JSON.stringify(body),
    }),
  );
}

/** Sends a file as it is and returns what it says; a refusal or silence is thrown as ApiProblem. */
export async function upload<T>(path: string, file: Blob): Promise<T> {
  const headers = { 'content-type': 'application/octet-stream' };
  return answered<T>(() => fetch(path, { method: 'POST', headers, body: file }));
}

async function answered<T>(ask: () => Promise<Response>): Promise<T> {
  let response: Response;
  try {
    response = await ask();
  } catch {
    throw new ApiProblem(noAnswer());
  }
  const answer: unknown = await response.json().catch(() => null);
  if (response.ok) return answer as T;
  throw new ApiProblem((answer as ProblemDocument | null) ?? { ...noAnswer(), status: response.status });
}
