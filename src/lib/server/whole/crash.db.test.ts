import type { ChildProcess } from 'node:child_process';
import { execFileSync, spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { v7 as uuidv7 } from 'uuid';
import { expect, it } from 'vitest';
import { openPoint } from '$core/testing/openPoint';
import { cluster } from '../../../../scripts/cluster.mjs';
import { freePort } from '../../../../scripts/ports.mjs';

/** Starts a second Bolt Yard with the very command people use, in a folder and on ports of its own. */
async function up(folder: string, port: number, databasePort: number): Promise<ChildProcess> {
  const env = {
    ...process.env,
    YARD_FOLDER: folder,
    YARD_PORT: String(port),
    YARD_DATABASE_PORT: String(databasePort),
  };
  const yard = spawn('./yard', ['up'], { env, stdio: ['ignore', 'pipe', 'inherit'] });
  await new Promise<void>((resolve, reject) => {
    yard.stdout.on('data', (chunk: Buffer) => chunk.toString().includes('Bolt Yard: http') && resolve());
    yard.once('exit', (code) => reject(new Error(`./yard up ended with ${code}`)));
  });
  return yard;
}

const childrenOf = (pid: number): number[] => {
  const found = execFileSync('sh', ['-c', `pgrep -P ${pid} || true`], { encoding: 'utf8' })
    .split('\n')
    .filter(Boolean)
    .map(Number);
  return found.flatMap((child) => [child, ...childrenOf(child)]);
};
const kill9 = (pids: number[]) => {
  for (const pid of pids) {
    try {
      process.kill(pid, 'SIGKILL');
    } catch {
      // gone already
    }
  }
};

it('keeps every acknowledged entry when server and database are killed while entries come in', async () => {
  mkdirSync('.yard', { recursive: true });
  const folder = mkdtempSync(path.resolve('.yard/crash-'));
  const [port, databasePort] = [await freePort(), await freePort()];
  const site = '01969a00-1000-7000-8000-000000000001';
  const at = `http://127.0.0.1:${port}`;
  const pg = cluster(`${folder}/postgres`, databasePort);
  let yard = await up(folder, port, databasePort);
  try {
    const acknowledged: string[] = [];
    let writing = true;
    const writer = async () => {
      while (writing) {
        const id = uuidv7();
        const status = await fetch(`${at}/api/v1/sites/${site}/records`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(openPoint(id)),
        }).then(
          (r) => r.status,
          () => 0,
        );
        if (status === 201) acknowledged.push(id);
        if (status === 0) return;
      }
    };
    const writers = [1, 2, 3].map(() => writer());
    while (acknowledged.length < 40) await new Promise((resolve) => setTimeout(resolve, 20));
    const node = Number(readFileSync(`${folder}/server.pid`, 'utf8'));
    kill9([pg.pid(), ...childrenOf(pg.pid()), node, ...childrenOf(node), ...(yard.pid ? [yard.pid] : [])]);
    writing = false;
    await Promise.all(writers);

    yard = await up(folder, port, databasePort);
    const file = (await (await fetch(`${at}/api/v1/sites/${site}/project`)).json()) as { records: { id: string }[] };
    const kept = new Set(file.records.map((r) => r.id));
    expect(acknowledged.length).toBeGreaterThanOrEqual(40);
    expect(acknowledged.filter((id) => !kept.has(id))).toEqual([]);
  } finally {
    yard.kill('SIGTERM');
    await new Promise((resolve) => (yard.exitCode === null ? yard.once('exit', resolve) : resolve(null)));
    pg.stop('immediate');
    rmSync(pg.folder, { recursive: true, force: true });
    rmSync(folder, { recursive: true, force: true });
  }
});
