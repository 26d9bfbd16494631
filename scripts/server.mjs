// The built application as a process of its own.
import { spawn } from 'node:child_process';

/**
 * Memory of a web process. A request's objects outlive a small young generation and are left in the old one, which then grows with the load and not with what is
 * kept: room for them, and a most for the whole, MB.
 */
const MEMORY = ['--max-semi-space-size=32', '--max-old-space-size=768'];

/** Starts a web process. `stdio`: of its output. With a channel to this process it ends when this one does. */
export function spawnServer({ url, port, demo = true, stdio = 'ignore', channel = false, env = {} }) {
  return spawn('node', [...MEMORY, 'scripts/web.mjs'], {
    stdio: ['ignore', stdio, stdio === 'pipe' ? 'pipe' : 'inherit', ...(channel ? ['ipc'] : [])],
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

/** Resolves when a web process answers; rejects when it ends before. */
export async function untilItAnswers(child, port) {
  const gone = new Promise((_, reject) =>
    child.once('exit', (code) => reject(new Error(`The server ended with code ${code}.`))),
  );
  gone.catch(() => undefined);
  await Promise.race([answers(port), gone]);
}

/** Starts the server and resolves when it answers. */
export async function startServer(options) {
  const child = spawnServer(options);
  await untilItAnswers(child, options.port);
  return child;
}

async function answers(port) {
  for (let tries = 0; tries < 240; tries++) {
    try {
      if ((await fetch(`http://127.0.0.1:${port}/healthz`)).ok) return;
    } catch {
      // not up yet
    }
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
  throw new Error(`Nothing answers on port ${port} after a minute.`);
}
