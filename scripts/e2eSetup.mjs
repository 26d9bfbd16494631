// Playwright's global set-up: a database of its own with the demo company, and the built server on it.
import { ensureBuilt } from './build.mjs';
import { startServer } from './server.mjs';
import { spawnStandIns } from './standins.mjs';
import { testCluster } from './testDatabase.mjs';

export default async function setup(config) {
  await ensureBuilt();
  const pg = await testCluster();
  const { port, fleetPort } = config.metadata;
  const standIns = spawnStandIns({ port: fleetPort });
  const server = await startServer({ url: pg.url('yard_test'), port, env: { YARD_FLEET_PORT: String(fleetPort) } });
  return () => {
    server.kill('SIGKILL');
    standIns.kill('SIGKILL');
    pg.remove();
  };
}
