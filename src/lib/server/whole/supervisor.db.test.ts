import type { ChildProcess } from 'node:child_process';
import { execFileSync, spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { cluster } from '../../../../scripts/cluster.mjs';
import { freePort } from '../../../../scripts/ports.mjs';

/** `./yard up` in a folder and on ports of its own. */

let folder = '';
let at = '';
let env: NodeJS.ProcessEnv;
let pg: ReturnType<typeof cluster>;
let yard: ChildProcess;

async function up(): Promise<ChildProcess> {
  const started = spawn('./yard', ['up'], { env, stdio: ['ignore', 'pipe', 'inherit'] });
  await new Promise<void>((resolve, reject) => {
    started.stdout.on('data', (chunk: Buffer) => chunk.toString().includes('Bolt Yard: http') && resolve());
    started.once('exit', (code) => reject(new Error(`./yard up ended with ${code}`)));
  });
  return started;
}
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const supervisor = (): number => Number(readFileSync(`${folder}/server.pid`, 'utf8'));
const childOf = (pid: number): number =>
  Number(execFileSync('sh', ['-c', `pgrep -P ${pid} -f scripts/web.mjs || true`], { encoding: 'utf8' }).trim());
const lives = (pid: number): boolean => {
  try {
    return !/^State:\s+Z/m.test(readFileSync(`/proc/${pid}/status`, 'utf8'));
  } catch {
    return false;
  }
};
const answers = () =>
  fetch(`${at}/healthz`).then(
    (r) => r.status === 200,
    () => false,
  );
/** Waits until something is so; what never comes ends with the time that a test has. How soon it comes is measured by `./yard faults`. */
async function until(what: () => boolean | Promise<boolean>): Promise<void> {
  while (!(await what())) await pause(50);
}
const logText = () => readFileSync(`${folder}/logs/server.log`, 'utf8');

beforeAll(async () => {
  mkdirSync('.yard', { recursive: true });
  folder = mkdtempSync(path.resolve('.yard/supervised-'));
  const [port, database, fleet] = [await freePort(), await freePort(), await freePort(3)];
  env = {
    ...process.env,
    YARD_FOLDER: folder,
    YARD_PORT: String(port),
    YARD_DATABASE_PORT: String(database),
    YARD_FLEET_PORT: String(fleet),
  };
  at = `http://127.0.0.1:${port}`;
  pg = cluster(`${folder}/postgres`, database);
  yard = await up();
});
afterAll(async () => {
  if (yard.exitCode === null) yard.kill('SIGTERM');
  await until(() => !existsSync(`${folder}/server.pid`));
  pg.stop('immediate');
  rmSync(pg.folder, { recursive: true, force: true });
  rmSync(folder, { recursive: true, force: true });
});

it('starts a web process again that died, and a database, each alone and both together', async () => {
  const web = childOf(supervisor());
  process.kill(web, 'SIGKILL');
  await until(async () => childOf(supervisor()) !== web && (await answers()));

  const [database, survivor] = [pg.pid(), childOf(supervisor())];
  process.kill(database, 'SIGKILL');
  await until(async () => pg.isRunning() && pg.pid() !== database && (await answers()));
  expect(childOf(supervisor())).toBe(survivor);

  process.kill(pg.pid(), 'SIGKILL');
  process.kill(childOf(supervisor()), 'SIGKILL');
  await until(answers);
  expect(logText()).toMatch(/the web process ended \(SIGKILL\); it is started again/);
  expect(logText()).toMatch(/the database does not run; it is started again/);
});

it('keeps a log of what was asked, without queries and bodies', async () => {
  await fetch(`${at}/api/v1/sites?secret=in-the-query`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name: 'secret-in-the-body' }),
  });
  await until(() => logText().includes('"path":"/api/v1/sites"'));
  expect(logText()).not.toMatch(/secret/);
});

it('leaves nothing behind: no process, no pid file, no database, also where it was killed itself', async () => {
  const [killed, web] = [supervisor(), childOf(supervisor())];
  process.kill(killed, 'SIGKILL');
  await until(() => !lives(web));
  yard = await up();
  expect(await answers()).toBe(true);
  const [own, child, database] = [supervisor(), childOf(supervisor()), pg.pid()];
  execFileSync('./yard', ['stop'], { env });
  await until(() => ![own, child, database].some(lives));
  expect(existsSync(`${folder}/server.pid`)).toBe(false);
  expect(pg.isRunning()).toBe(false);
});
