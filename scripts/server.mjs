// The built application as a process of its own.
import { spawn } from 'node:child_process';

/** Starts the server and resolves when it answers. */
export async function startServer({ url, port, demo = true, stdio = 'ignore' }) {
  const child = spawn('node', ['scripts/web.mjs'], {
    stdio: ['ignore', stdio, 'inherit'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      DATABASE_URL: url,
      HOST: '127.0.0.1',
      PORT: String(port),
      ORIGIN: `http://127.0.0.1:${port}`,
      YARD_DEMO: demo ? '1' : '0',
      BODY_SIZE_LIMIT: '25M',
    },
  });
  const gone = new Promise((_, reject) =>
    child.once('exit', (code) => reject(new Error(`The server ended with code ${code}.`))),
  );
  gone.catch(() => undefined);
  await Promise.race([answers(port), gone]);
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
