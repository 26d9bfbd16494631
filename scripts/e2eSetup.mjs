// Playwright's global set-up: a database of its own with the demo company, and the built server on it.
import { ensureBuilt } from './build.mjs';
import { startServer } from './server.mjs';
import { testCluster } from './testDatabase.mjs';

export default async function setup(config) {
  await ensureBuilt();
  const pg = await testCluster();
  const server = await startServer({ url: pg.url('yard_test'), port: config.metadata.port });
  return () => {
    server.kill('SIGKILL');
    pg.remove();
  };
}
