import { error } from '@sveltejs/kit';
import { ApiProblem, read } from './api';

/** What a screen opens with, read from the API; a refusal or silence becomes the page that says so. */
export async function opened<T>(path: string, fetch: typeof globalThis.fetch): Promise<T> {
  try {
    return await read<T>(path, fetch);
  } catch (cause) {
    if (!(cause instanceof ApiProblem)) throw cause;
    error(cause.problem.status || 503, cause.problem.detail);
  }
}
