// The built application as a process of its own.
import { spawn } from 'node:child_process';

/**
 * Memory of a web process. A request's objects outlive a small young generation and are left in the old one, which then grows with the load and not with what is
 * kept: room for them, and a most for the whole, MB.
 */
const MEMORY = ['--max-semi-space-size=32', '--max-old-space-size=768'];

/**
 * Starts a web process. `stdio`: of its output. With a channel to this process it ends when this one does.
 * @param {{ url: string, port: number, demo?: boolean, stdio?: 'ignore' | 'inherit' | 'pipe', channel?: boolean, env?: Record<string, string> }} options
 */
export function spawnServer({ url, port, demo = true, stdio = 'ignore', channel = false, env = {} }) {
  /** @type {'ipc'[]} */
  const own = channel ? ['ipc'] : [];
  return spawn('node', [...MEMORY, 'scripts/web.mjs'], {
    stdio: ['ignore', stdio, stdio === 'pipe' ? 'pipe' : 'inherit', ...own],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      DATABASE_URL: url,
      HOST: '127.0.0.1',
      PORT: String(port),
      ORIGIN: `http://127.0.0.1:${port}`,
      YARD_DEMO: demo ? '1' : '0',
      BODY_SIZE_LIMIT: '25M',
      // Threads share few pools of memory, else each keeps what it once needed.
      MALLOC_ARENA_MAX: '2',
      ...env,
    },
  });
}

/** Where a web process says that it is well. */
export const healthOf = (port) => `http://127.0.0.1:${port}/healthz`;

/** Resolves when a process answers at this address; rejects when it ends before. */
export async function untilItAnswers(child, address) {
  const gone = new Promise((_, reject) =>
    child.once('exit', (code) =>
      reject(new Error(`What was to answer on ${address} ended with code ${code}: is its port taken?`)),
    ),
  );
  gone.catch(() => undefined);
  await Promise.race([answers(address), gone]);
}

/** Starts the server and resolves when it answers. */
export async function startServer(options) {
  const child = spawnServer(options);
  await untilItAnswers(child, healthOf(options.port));
  return child;
}

async function answers(address) {
  for (let tries = 0; tries < 240; tries++) {
    try {
      if ((await fetch(address)).ok) return;
    } catch {
      // not up yet
    }
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
  throw new Error(`Nothing answers on ${address} after a minute.`);
}
