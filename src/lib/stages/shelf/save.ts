import { invalidateAll } from '$app/navigation';
import { ApiProblem, post } from '$lib/client/api';
import type { ProblemDocument } from '$lib/schemas/problem';

/** Puts a sheet on the shelf; what the server refuses is handed back for the form. */
export async function onShelf(body: unknown): Promise<ProblemDocument | null> {
  try {
    await post('/api/v1/shelf', body);
    await invalidateAll();
    return null;
  } catch (cause) {
    if (cause instanceof ApiProblem) return cause.problem;
    throw cause;
  }
}

/** The id of a new sheet, from its name. */
export const slug = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 50);
