import { Problem } from './problem';

/** Request bodies, read as they come. A stream that is cancelled ends the connection, and with it the answer: these let go of it instead. */

/** Reads on until a body ends, or until `each` has enough. */
async function read(request: Request, each: (part: Uint8Array) => boolean): Promise<void> {
  const reader = request.body?.getReader();
  if (!reader) return;
  try {
    for (let part = await reader.read(); !part.done; part = await reader.read()) if (!each(part.value)) return;
  } finally {
    reader.releaseLock();
  }
}

/** A request body up to a size, counted as it comes: a larger one is refused before it is read whole. */
export async function bodyBytes(request: Request, maxBytes: number): Promise<Uint8Array> {
  const most = `At most ${Math.round(maxBytes / 1024 / 1024)} MiB are taken.`;
  const tooLarge = () => new Problem(413, 'Too large', most, [{ pointer: '', detail: most }]);
  if (Number(request.headers.get('content-length') ?? 0) > maxBytes) throw tooLarge();
  const parts: Uint8Array[] = [];
  let size = 0;
  await read(request, (part) => {
    size += part.length;
    parts.push(part);
    return size <= maxBytes;
  });
  if (size > maxBytes) throw tooLarge();
  return Buffer.concat(parts);
}

/** So much of a body is taken in, and thrown away, that nobody wanted: what the server lets in at all (`scripts/server.mjs`). Whoever sent a little too much hears why. */
const DRAINED_MOST_BYTES = 25 * 1024 * 1024;

/** Takes in what a refusal left unread: a connection that is closed on bytes under way loses the answer. Whether that was all of it. */
export async function drained(request: Request): Promise<boolean> {
  if (request.body?.locked) return true;
  let size = 0;
  // Whoever hangs up meanwhile needs no answer.
  await read(request, (part) => (size += part.length) < DRAINED_MOST_BYTES).catch(() => undefined);
  return size < DRAINED_MOST_BYTES;
}
