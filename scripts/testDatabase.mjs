// A cluster for one test run: made before, removed after.
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import path from 'node:path';
import { ensureBuilt } from './build.mjs';
import { cluster } from './cluster.mjs';
import { migrate } from './migrate.mjs';
import { freePort } from './ports.mjs';

export async function testCluster() {
  mkdirSync('.yard', { recursive: true });
  const folder = mkdtempSync(path.resolve('.yard/test-'));
  rmSync(folder, { recursive: true });
  const pg = cluster(folder, await freePort());
  pg.start();
  pg.createDatabase('yard_test');
  await migrate(pg.url('yard_test', 'owner'), pg.url('yard_test'));
  return {
    ...pg,
    remove() {
      pg.stop('immediate');
      rmSync(pg.folder, { recursive: true, force: true });
    },
  };
}

/** Vitest's global set-up: DATABASE_URL for every database test, and DATABASE_OWNER_URL for those that tamper as nobody else can. */
export default async function setup() {
  await ensureBuilt();
  const pg = await testCluster();
  process.env.DATABASE_URL = pg.url('yard_test');
  process.env.DATABASE_OWNER_URL = pg.url('yard_test', 'owner');
  return () => pg.remove();
}
