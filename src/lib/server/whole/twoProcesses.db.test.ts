import type { ChildProcess } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { SiteDesign } from '$core/design';
import { openPoint } from '$core/testing/openPoint';
import { freePort } from '../../../../scripts/ports.mjs';
import { startServer } from '../../../../scripts/server.mjs';

/** Two web processes before one database: what one writes the other knows, and nothing is made twice. */

let servers: ChildProcess[] = [];
let at: readonly string[] = [];
let siteId = '';
let design: SiteDesign;
beforeAll(async () => {
  const ports = [await freePort(), await freePort()];
  const url = process.env.DATABASE_URL ?? '';
  servers = await Promise.all(ports.map((port) => startServer({ url, port, demo: false })));
  at = ports.map((port) => `http://127.0.0.1:${port}/api/v1`);
  const file = JSON.parse(await readFile('demo/tarnholm-ice-rink.project.json', 'utf8')) as { design: SiteDesign };
  design = file.design;
  siteId = ((await post(0, '/projects', file)).body as { siteId: string }).siteId;
});
afterAll(() => servers.forEach((s) => s.kill('SIGTERM')));

async function post(process: number, path: string, body: unknown) {
  const response = await fetch(`${at[process % 2]}${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  return { status: response.status, body: (await response.json()) as unknown };
}
const get = async <T>(process: number, what: string): Promise<T> =>
  (await fetch(`${at[process % 2]}/sites/${siteId}/${what}`)).json() as Promise<T>;
interface Project {
  readonly revision: number;
  readonly design: SiteDesign;
  readonly releases: readonly { readonly letter: string }[];
  readonly records: readonly { readonly id: string }[];
}

it('edits go on from each other, whichever process takes them, and a stale one is a conflict at both', async () => {
  let { revision } = await get<Project>(0, 'project');
  for (const [i, bitRate] of ([9600, 4800, 2400, 19200] as const).entries()) {
    const { status } = await post(i, `/sites/${siteId}/edits`, { revision, edit: { kind: 'bit-rate', bitRate } });
    expect(status).toBe(200);
    revision += 1;
    for (const other of [0, 1]) expect((await get<Project>(other, 'project')).design.chain.bitRate).toBe(bitRate);
  }
  const stale = { revision: revision - 1, edit: { kind: 'bit-rate', bitRate: 1200 } };
  for (const i of [0, 1]) expect((await post(i, `/sites/${siteId}/edits`, stale)).status).toBe(409);
});

it('an edit that is sent to both at once is made once', async () => {
  const { revision } = await get<Project>(0, 'project');
  for (let n = 0; n < 5; n++) {
    const sent = { revision: revision + n, id: uuidv7(), edit: { kind: 'bit-rate', bitRate: n % 2 ? 9600 : 4800 } };
    const answers = await Promise.all([0, 1, 0, 1].map((i) => post(i, `/sites/${siteId}/edits`, sent)));
    expect(answers.map((a) => [a.status, (a.body as { revision: number }).revision])).toEqual(
      Array.from({ length: 4 }, () => [200, revision + n + 1]),
    );
  }
});

/** As a phone sends it: again where the server says that it is busy. */
async function untilHeard(i: number, entry: unknown) {
  for (;;) {
    const answer = await post(i, `/sites/${siteId}/records`, entry);
    if (answer.status !== 503) return answer;
  }
}

it('entries that come in at both stand in one whole chain, each once', async () => {
  const ids = Array.from({ length: 40 }, () => uuidv7());
  const before = (await get<Project>(1, 'project')).records.length;
  // Every one to both: a phone that got no answer from the first tries the second.
  const answers = await Promise.all(
    ids.flatMap((id) => {
      const entry = openPoint(id);
      return [0, 1].map((i) => untilHeard(i, entry));
    }),
  );
  expect(answers.filter((a) => a.status !== 201)).toEqual([]);
  expect(answers.filter((a) => !(a.body as { known: boolean }).known).length).toBe(40);
  for (const i of [0, 1]) {
    const records = (await get<Project>(i, 'project')).records.map((r) => r.id);
    expect(records.length).toBe(before + 40);
    expect(new Set(records).size).toBe(records.length);
    expect(await get(i, 'records/chain')).toMatchObject({ entries: before + 40, broken: [] });
  }
});

it('releases made at both have letters of their own', async () => {
  const had = (await get<Project>(0, 'project')).releases.length;
  let { revision } = await get<Project>(0, 'project');
  for (let n = 0; n < 3; n++) {
    const label = `Board ${n}`;
    const edit = { kind: 'board', board: { ...design.board, label } };
    expect((await post(n, `/sites/${siteId}/edits`, { revision, edit })).status).toBe(200);
    revision += 1;
    const made = await Promise.all(
      [0, 1].map((i) => post(i, `/sites/${siteId}/releases`, { revision, by: 'R. Vahl' })),
    );
    expect(made.map((m) => m.status).sort()).toEqual([201, 409]);
  }
  const { releases } = await get<Project>(1, 'project');
  expect(releases.length).toBe(had + 3);
  expect(new Set(releases.map((r) => r.letter)).size).toBe(releases.length);
});
