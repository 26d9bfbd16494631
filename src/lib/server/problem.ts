import { json } from '@sveltejs/kit';
import type { z } from 'zod';
import { databaseTrouble } from './db/trouble';

/** One thing wrong with a request: where and what would be right. */
export interface Flaw {
  /** RFC 6901 pointer into the part of the request that `in` names; empty for the whole of it. */
  readonly pointer: string;
  readonly detail: string;
  /** The part of the request; its body where absent. */
  readonly in?: 'path' | 'query' | 'method' | 'header';
}

/** Something that people or programs can put right, as RFC 9457 describes it. */
export class Problem extends Error {
  constructor(
    readonly status: 400 | 403 | 404 | 405 | 409 | 413 | 415 | 421 | 422 | 503,
    readonly title: string,
    readonly detail: string,
    /** Never empty where the request is wrong. */
    readonly errors: readonly Flaw[],
  ) {
    super(`${title}: ${detail}`);
  }

  /** As data, for what passes no class. */
  plain(): PlainProblem {
    const { status, title, detail, errors } = this;
    return { status, title, detail, errors };
  }

  response(): Response {
    const { status, title, detail, errors } = this;
    return json(
      { type: 'about:blank', title, status, detail, ...(errors.length ? { errors } : {}) },
      {
        status,
        headers: {
          'content-type': 'application/problem+json',
          ...(status === 503 ? { 'retry-after': String(RETRY_AFTER_S) } : {}),
        },
      },
    );
  }
}

export type PlainProblem = Pick<Problem, 'status' | 'title' | 'detail' | 'errors'>;
export const problemOf = ({ status, title, detail, errors }: PlainProblem): Problem =>
  new Problem(status, title, detail, errors);

/** When to ask again, s: a database that was started anew answers by then. */
export const RETRY_AFTER_S = 2;

/** Not now: nothing was written, and the same may be asked again. */
export const busy = (why: string): Problem =>
  new Problem(503, 'Not now', `${why} Nothing was written: try again in a moment.`, []);

/** What failed as something people can act on: a problem as it is, a database that is away as the 503 of `busy`; null where it is neither. */
export function problemIn(cause: unknown): Problem | null {
  if (cause instanceof Problem) return cause;
  return databaseTrouble(cause) === null ? null : busy('The database does not answer just now.');
}

/** `["strings", 3, "place"]` → `/strings/3/place`. */
export function pointerOf(path: readonly PropertyKey[]): string {
  return path.map((part) => `/${String(part).replaceAll('~', '~0').replaceAll('/', '~1')}`).join('');
}

function flawsOf(error: z.ZodError): Flaw[] {
  return error.issues.map((issue) => ({ pointer: pointerOf(issue.path), detail: issue.message }));
}

/** So many flaws are named in a refusal; nobody reads more, and the rest is counted. */
export const FLAWS_MOST = 50;

/** What is wrong with an input, as a 422 with a pointer to each field. */
export function unfit(errors: readonly Flaw[], what: string): Problem {
  const count = `${errors.length} ${errors.length === 1 ? 'error' : 'errors'}`;
  const named = errors.length > FLAWS_MOST ? `, of which ${FLAWS_MOST} are named` : '';
  return new Problem(
    422,
    'Not as expected',
    `${what} has ${count}${named}. First: ${errors[0]?.pointer || '/'} ${errors[0]?.detail}`,
    errors.slice(0, FLAWS_MOST),
  );
}

/** Parses with a schema; what does not fit becomes a 422 with a pointer to each field. */
export function parsed<T>(schema: z.ZodType<T>, input: unknown, what = 'The input'): T {
  const result = schema.safeParse(input);
  if (result.success) return result.data;
  throw unfit(flawsOf(result.error), what);
}

/** The same of what stands behind the question mark of an address. */
export function parsedQuery<T>(schema: z.ZodType<T>, { searchParams }: URL): T {
  const result = schema.safeParse(Object.fromEntries(searchParams));
  if (result.success) return result.data;
  const errors = flawsOf(result.error).map((flaw): Flaw => ({ in: 'query', ...flaw }));
  throw unfit(errors, 'The address');
}

/** Turns a core guard (RangeError, naming its field first) into a 422. Anything else goes on. */
export function orProblem<T>(compute: () => T): T {
  try {
    return compute();
  } catch (cause) {
    if (!(cause instanceof RangeError)) throw cause;
    const field = /^([a-z][A-Za-z0-9]*) must /.exec(cause.message)?.[1];
    throw new Problem(422, 'Cannot be computed', cause.message, [
      { pointer: field ? `/${field}` : '', detail: cause.message },
    ]);
  }
}
