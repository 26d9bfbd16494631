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
