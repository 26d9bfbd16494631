// Playwright's global set-up: a database of its own with the demo company, and the built server on it.
import { ensureBuilt } from './build.mjs';
import { healthOf, spawnServer, untilItAnswers } from './server.mjs';
import { spawnStandIns } from './standins.mjs';
import { testCluster } from './testDatabase.mjs';

export default async function setup(config) {
  await ensureBuilt();
  const pg = await testCluster();
  const { port, fleetPort } = config.metadata;
  const env = { YARD_FLEET_PORT: String(fleetPort) };
  const standIns = spawnStandIns({ env });
  const server = spawnServer({ url: pg.url('yard_test'), port, env });
  const end = () => {
    server.kill('SIGKILL');
    standIns.kill('SIGKILL');
    pg.remove();
  };
  try {
    await Promise.all([
      untilItAnswers(standIns, `http://127.0.0.1:${fleetPort}`),
      untilItAnswers(server, healthOf(port)),
    ]);
  } catch (cause) {
    end();
    throw cause;
  }
  return end;
}
