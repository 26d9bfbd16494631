// Ports of the loopback. All lie below 32768, where Linux begins to take the near ends of outgoing connections from: such a port may be held by whoever
// connected last, and for a minute after.
import { createServer } from 'node:net';

/** Where the database listens. */
export const DATABASE_PORT = Number(process.env.YARD_DATABASE_PORT ?? 24_173);

const BETWEEN = [25_000, 32_000];

const listened = (port) =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });

async function allFree(port, count) {
  for (let i = 0; i < count; i++) if (!(await listened(port + i))) return false;
  return true;
}

/** A port that nobody listens on, with as many free ones behind it as make up the count. */
export async function freePort(count = 1, [first, last] = BETWEEN) {
  for (let tries = 0; tries < 200; tries++) {
    const port = first + Math.floor(Math.random() * (last - first));
    if (await allFree(port, count)) return port;
  }
  throw new Error(`No ${count} ports in a row are free from ${first} on, up to ${last}.`);
}
