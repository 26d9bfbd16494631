import type { ChildProcess } from 'node:child_process';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { openPoint } from '$core/testing/openPoint';
import { freePort } from '../../../../scripts/ports.mjs';
import { startServer } from '../../../../scripts/server.mjs';
import { testCluster } from '../../../../scripts/testDatabase.mjs';

/** A server and a cluster of their own, whose database comes and goes. How soon all is back is measured by `./yard faults`, never here. */

const DEMO = '01969a00-1000-7000-8000-000000000001';
let database: Awaited<ReturnType<typeof testCluster>>;
let server: ChildProcess;
let at = '';
let admin: pg.Client;

const connected = async (): Promise<pg.Client> => {
  const client = new pg.Client({ connectionString: database.url('yard_test') });
  client.on('error', () => undefined);
  await client.connect();
  return client;
};
async function asked(path: string, init?: RequestInit) {
  const response = await fetch(`${at}${path}`, init);
  return { status: response.status, retry: response.headers.get('retry-after'), text: await response.text() };
}
const write = (siteId: string, id = uuidv7()) =>
  asked(`/api/v1/sites/${siteId}/records`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(openPoint(id)),
  });
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

async function untilTaken(): Promise<void> {
  while ((await write(DEMO)).status !== 201) await pause(50);
}
async function untilWell(): Promise<void> {
  while ((await asked('/healthz')).status !== 200) await pause(50);
}

/** Writers without pause while something happens; what was acknowledged has to be there, once. */
async function underLoad(trouble: () => Promise<void>): Promise<void> {
  const acknowledged: string[] = [];
  const odd: unknown[] = [];
  let writing = true;
  const writer = async () => {
    while (writing) {
      const id = uuidv7();
      const { status, retry, text } = await write(DEMO, id);
      if (status === 201) acknowledged.push(id);
      else {
        if (status !== 503 || retry === null) odd.push({ status, retry, text });
        await pause(50);
      }
    }
  };
  const writers = [1, 2, 3, 4, 5].map(writer);
  await pause(300);
  try {
    await trouble();
    await untilTaken();
    await pause(300);
  } finally {
    writing = false;
    await Promise.allSettled(writers);
  }
  const file = JSON.parse((await asked(`/api/v1/sites/${DEMO}/project`)).text) as { records: { id: string }[] };
  const ids = file.records.map((r) => r.id);
  expect(odd).toEqual([]);
  expect(acknowledged.filter((id) => !ids.includes(id))).toEqual([]);
  expect(new Set(ids).size).toBe(ids.length);
  expect(acknowledged.length).toBeGreaterThan(5);
  expect(server.exitCode).toBeNull();
}

beforeAll(async () => {
  database = await testCluster();
  const port = await freePort();
  at = `http://127.0.0.1:${port}`;
  server = await startServer({ url: database.url('yard_test'), port });
});
beforeEach(async () => {
  database.start();
  admin = await connected();
});
afterEach(() => admin.end().catch(() => undefined));
afterAll(async () => {
  server.kill('SIGTERM');
  await new Promise((resolve) => (server.exitCode === null ? server.once('exit', resolve) : resolve(null)));
  database.remove();
});

describe('the server', () => {
  it('lives through ended sessions', async () => {
    await underLoad(async () => {
      for (let i = 0; i < 5; i++) {
        await admin.query(
          "select pg_terminate_backend(pid) from pg_stat_activity where application_name like 'bolt-yard%'",
        );
        await pause(100);
      }
    });
  });

  it('lives through a restart and a crash of the database, and says meanwhile when to ask again', async () => {
    for (const mode of ['fast', 'immediate'] as const) {
      await underLoad(async () => {
        database.stop(mode);
        const [api, page, health] = await Promise.all([
          asked(`/api/v1/sites/${DEMO}/records`),
          asked('/'),
          asked('/healthz'),
        ]);
        for (const answer of [api, page, health]) expect(answer).toMatchObject({ status: 503, retry: '2' });
        expect(JSON.parse(api.text)).toMatchObject({ status: 503, title: 'Not now' });
        expect(page.text).toContain('The database does not answer just now.');
        database.start();
      });
      await untilWell();
    }
  });

  it('lets nobody wait for a site that somebody else holds, but those who write to it', async () => {
    const made = await asked('/api/v1/sites', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: 'another' }),
    });
    const other = (JSON.parse(made.text) as { siteId: string }).siteId;
    await admin.query('begin');
    await admin.query('select id from site where id = $1 for update', [DEMO]);
    // Twenty are waiting at every moment: whoever gives up begins again.
    let holding = true;
    const odd: unknown[] = [];
    const waiting = async () => {
      while (holding) {
        const { status, retry } = await write(DEMO);
        if (holding && (status !== 503 || retry !== '2')) odd.push({ status, retry });
      }
    };
    const held = Array.from({ length: 20 }, waiting);
    try {
      await pause(200);
      for (let i = 0; i < 5; i++) {
        const answers = await Promise.all([
          asked(`/sites/${other}/strings`),
          asked(`/api/v1/sites/${other}/records`),
          asked('/healthz'),
          // Reading the held one is no matter either.
          asked(`/api/v1/sites/${DEMO}/records`),
        ]);
        expect(answers.map((a) => `${a.status} ${a.status === 200 ? '' : a.text}`)).toEqual(answers.map(() => '200 '));
      }
    } finally {
      holding = false;
      await admin.query('rollback');
      await Promise.allSettled(held);
    }
    expect(odd).toEqual([]);
    await untilTaken();
  });

  it('waits for a full database to have room again', async () => {
    const { rows } = await admin.query<{ free: number }>(
      "select current_setting('max_connections')::int - (select count(*)::int from pg_stat_activity where backend_type = 'client backend') as free",
    );
    const crowd = await Promise.all(
      Array.from({ length: (rows[0]?.free ?? 0) - 1 }, () => connected().catch(() => null)),
    );
    await admin.query(
      "select pg_terminate_backend(pid) from pg_stat_activity where application_name like 'bolt-yard%'",
    );
    const crowded = await Promise.all(Array.from({ length: 12 }, () => connected().catch(() => null)));
    const answer = await write(DEMO);
    expect([201, 503]).toContain(answer.status);
    await Promise.all([...crowd, ...crowded].map((c) => c?.end()));
    await untilTaken();
    expect(server.exitCode).toBeNull();
  });
});
