import { invalidateAll } from '$app/navigation';
import type { Remainder, StoreChange } from '$core/ac/schedule/cableStore';
import { ApiProblem, post } from '$lib/client/api';
import type { ProblemDocument } from '$lib/schemas/problem';

/** Takes remainders out of the company's store and puts others in; what the server refuses is handed back. */
export async function changeStore(change: StoreChange): Promise<ProblemDocument | null> {
  try {
    await post('/api/v1/cable-store', change);
    return null;
  } catch (cause) {
    if (cause instanceof ApiProblem) return cause.problem;
    throw cause;
  } finally {
    // Also where it was refused: somebody else changed what is shown here.
    await invalidateAll();
  }
}

/** A remainder as the store says it. */
export const remainderWords = ({ metal, insulation, cores, sectionMm2 }: Remainder): string =>
  `${sectionMm2} mm² ${metal}, ${cores} ${insulation}`;
