import type { ChildProcess } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import { Agent, request as ask } from 'node:http';
import fc from 'fast-check';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { problemSchema } from '$lib/schemas/problem';
import { freePort } from '../../../../scripts/ports.mjs';
import { startServer } from '../../../../scripts/server.mjs';
import { leadsInto } from './fuzz/broken';
import type { Sent } from './fuzz/requests';
import { badRequests } from './fuzz/requests';

/** Thousands of requests that nobody should send: none ends in a failure of ours, none is believed, each is told what is wrong with it and where. */

const REQUESTS = Number(process.env.FUZZ_REQUESTS ?? 1500);
const SEED = Number(process.env.FUZZ_SEED ?? 20_261_127);
const AT_ONCE = 8;

let port = 0;
let server: ChildProcess;
let siteId = '';
const agent = new Agent({ maxSockets: AT_ONCE });

beforeAll(async () => {
  port = await freePort();
  const env = { LOG_LEVEL: 'error', YARD_FLEET_PORT: String(await freePort()) };
  server = await startServer({ url: process.env.DATABASE_URL ?? '', port, demo: false, env });
  const file = await readFile('demo/tarnholm-ice-rink.project.json');
  const { text } = await send({
    method: 'POST',
    path: '/api/v1/projects',
    body: file,
    headers: { 'content-type': 'application/json' },
  });
  siteId = (JSON.parse(text) as { siteId: string }).siteId;
});
afterAll(() => {
  agent.destroy();
  server.kill('SIGTERM');
});

function send({ method, path, headers, body }: Pick<Sent, 'method' | 'path' | 'headers' | 'body'>) {
  return new Promise<{ status: number; type: string; text: string }>((resolve, reject) => {
    const length = Buffer.byteLength(body);
    const request = ask(
      {
        host: '127.0.0.1',
        port,
        method,
        path,
        agent,
        headers: { ...headers, ...(length ? { 'content-length': length } : {}) },
      },
      (answer) => {
        const parts: Buffer[] = [];
        answer.on('data', (part: Buffer) => parts.push(part));
        answer.on('error', reject);
        answer.on('end', () =>
          resolve({
            status: answer.statusCode ?? 0,
            type: answer.headers['content-type'] ?? '',
            text: Buffer.concat(parts).toString('utf8'),
          }),
        );
      },
    );
    request.on('error', reject);
    request.end(body);
  });
}

/** What the server says once it has time: a busy machine may be told "not now", and asks again; whoever hears nothing else is let down. */
async function heard(sent: Sent, tries = 50): Promise<Awaited<ReturnType<typeof send>>> {
  const answer = await send(sent).catch((cause: unknown) => ({ status: 0, type: '', text: String(cause) }));
  if (answer.status !== 503 || !answer.text.includes('"title":"Not now"') || tries === 1) return answer;
  await new Promise((resolve) => setTimeout(resolve, 200));
  return heard(sent, tries - 1);
}

/** What is wrong with an answer; null where it is as it should be. */
async function wrongWith(sent: Sent): Promise<string | null> {
  const { status, type, text } = await heard(sent);
  // No stand-ins run beside this server: whoever asks for them rightly hears so.
  if (status === 503 && text.includes('No stand-ins')) return sent.nonsense ? '503 on nonsense' : null;
  if (status === 0 || status >= 500) return `${status} ${text.slice(0, 200)}`;
  if (status < 400) return sent.nonsense ? `${status} on nonsense` : null;
  if (!type.startsWith('application/problem+json')) return `${status} without a problem document`;
  const problem = problemSchema.safeParse(JSON.parse(text));
  if (!problem.success) return `${status} with an odd problem document`;
  const { errors = [] } = problem.data;
  if (errors.length === 0) return `${status} ${problem.data.title}: no pointer`;
  // A pointer without a name of its part points into the body: into its document, or at a row of a table.
  const leads = (pointer: string) =>
    sent.document === undefined ? /^(\/rows\/\d+)?$/.test(pointer) : leadsInto(sent.document, pointer);
  const astray = errors.find((e) => !e.in && !leads(e.pointer));
  return astray ? `${status} ${problem.data.title}: ${astray.pointer} leads nowhere` : null;
}

it(
  `refuses bad requests with what is wrong and where, ${REQUESTS} of them`,
  async () => {
    const api = JSON.parse((await send({ method: 'GET', path: '/api/v1/openapi.json', headers: {}, body: '' })).text);
    const all = fc.sample(badRequests(api, siteId), { numRuns: REQUESTS, seed: SEED });
    expect(all.filter((s) => s.nonsense).length).toBeGreaterThan(REQUESTS / 2);
    const found: string[] = [];
    let next = 0;
    const worker = async () => {
      for (let sent = all[next++]; sent; sent = all[next++]) {
        const wrong = await wrongWith(sent);
        if (wrong)
          found.push(`${sent.method} ${sent.path.slice(0, 80)}: ${wrong} ← ${String(sent.body).slice(0, 200)}`);
      }
    };
    await Promise.all(Array.from({ length: AT_ONCE }, worker));
    expect(found.slice(0, 20)).toEqual([]);
    const { status } = await send({ method: 'GET', path: '/healthz', headers: {}, body: '' });
    expect(status).toBe(200);
  },
  20 * 60_000,
);
