import { ApiProblem, RECORD_PATIENCE_MS, read } from './api';

/** Calls `look` every so many ms where somebody looks at the page, and at once when somebody comes back to it. Returns what ends it. */
export function whileSeen(everyMs: number, look: () => unknown): () => void {
  const seen = () => {
    if (!document.hidden) look();
  };
  const timer = setInterval(seen, everyMs);
  document.addEventListener('visibilitychange', seen);
  return () => {
    clearInterval(timer);
    document.removeEventListener('visibilitychange', seen);
  };
}

/** What the server says now; `was` where nobody answers or it is refused: what was said last stands. */
export async function readAgain<T>(path: string, was: T): Promise<T> {
  try {
    return await read<T>(path, fetch, RECORD_PATIENCE_MS);
  } catch (cause) {
    if (cause instanceof ApiProblem) return was;
    throw cause;
  }
}
