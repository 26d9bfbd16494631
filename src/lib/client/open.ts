import { error } from '@sveltejs/kit';
import type { OpenedRecord } from '$lib/schemas/record';
import { ApiProblem, RECORD_PATIENCE_MS, nobodyAnswered, read } from './api';

/** What a screen opens with, read from the API; a refusal or silence becomes the page that says so. */
export async function opened<T>(path: string, fetch: typeof globalThis.fetch): Promise<T> {
  try {
    return await read<T>(path, fetch);
  } catch (cause) {
    if (!(cause instanceof ApiProblem)) throw cause;
    error(cause.problem.status || 503, cause.problem.detail);
  }
}

/** The record of a site as the field screens open it; null where nobody answers: they go on with what the device knows. */
export async function openedRecord(
  siteId: string,
  fetch: typeof globalThis.fetch,
): Promise<{ readonly record: OpenedRecord | null }> {
  try {
    return { record: await read<OpenedRecord>(`/api/v1/sites/${siteId}/records`, fetch, RECORD_PATIENCE_MS) };
  } catch (cause) {
    if (!(cause instanceof ApiProblem)) throw cause;
    if (nobodyAnswered(cause.problem)) return { record: null };
    error(cause.problem.status, cause.problem.detail);
  }
}
