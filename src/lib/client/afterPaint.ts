/** Beyond this a page is not painting: it is hidden, ms. */
const PATIENCE_MS = 200;

/**
 * Does a piece of work once what changed on the screen is painted, or soon where nothing is: a hidden page paints no frame. What is returned
 * does it at once instead; it is done once, whoever asks.
 */
export function afterPaint(work: () => void): () => void {
  let done = false;
  const once = () => {
    if (done) return;
    done = true;
    work();
  };
  requestAnimationFrame(() => setTimeout(once));
  setTimeout(once, PATIENCE_MS);
  return once;
}
