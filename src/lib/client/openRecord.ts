import { error } from '@sveltejs/kit';
import type { OpenedRecord } from '$lib/schemas/record';
import { ApiProblem, RECORD_PATIENCE_MS, nobodyAnswered, read } from './api';
import { LogState } from './logState.svelte';
import { logOf } from './siteRecord.svelte';

/** What a screen that reads the record opens with. */
export interface WithRecord {
  /** As the server has it; null where nobody answers: the screen goes on with what the device knows. */
  readonly record: OpenedRecord | null;
  readonly log: LogState;
}

/** The record of a site as the field screens open it, and as this device goes on with it. */
export async function openedRecord(siteId: string, fetch: typeof globalThis.fetch): Promise<WithRecord> {
  const record = await asked(siteId, fetch);
  return { record, log: logOf(siteId, (id) => new LogState(id)) };
}

async function asked(siteId: string, fetch: typeof globalThis.fetch): Promise<OpenedRecord | null> {
  try {
    return await read<OpenedRecord>(`/api/v1/sites/${siteId}/records`, fetch, RECORD_PATIENCE_MS);
  } catch (cause) {
    if (!(cause instanceof ApiProblem)) throw cause;
    if (nobodyAnswered(cause.problem)) return null;
    error(cause.problem.status, cause.problem.detail);
  }
}
