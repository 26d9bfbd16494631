// ./yard up, demo, stop
import { execFileSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { ensureBuilt } from './build.mjs';
import { cluster } from './cluster.mjs';
import { migrate } from './migrate.mjs';
import { DATABASE_PORT } from './ports.mjs';
import { supervise } from './supervisor.mjs';

const PORT = Number(process.env.YARD_PORT ?? 4173);
/** Where the cluster and the process id lie: another folder and other ports make a second Bolt Yard beside the first. */
const FOLDER = process.env.YARD_FOLDER ?? '.yard';
const PID_FILE = `${FOLDER}/server.pid`;

function runningServer() {
  if (!existsSync(PID_FILE)) return null;
  const pid = Number(readFileSync(PID_FILE, 'utf8'));
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('serve.mjs') && pid !== process.pid ? pid : null;
  } catch {
    return null;
  }
}

async function main(verb) {
  mkdirSync(FOLDER, { recursive: true });
  const pg = cluster(`${FOLDER}/postgres`, DATABASE_PORT);
  const other = runningServer();
  if (verb === 'stop') {
    if (other) process.kill(other, 'SIGTERM');
    else pg.stop();
    console.log(other ? 'Stopping the server and its database.' : 'No server is running; the database is stopped.');
    return;
  }
  if (other && verb === 'up') {
    console.log(`Bolt Yard is running already on http://127.0.0.1:${PORT} (./yard stop ends it).`);
    return;
  }
  if (other) {
    process.kill(other, 'SIGTERM');
    for (let i = 0; i < 100 && existsSync(PID_FILE); i++) execFileSync('sleep', ['0.1']);
  }
  await ensureBuilt();
  pg.start();
  if (verb === 'demo') pg.dropDatabase('yard');
  pg.createDatabase('yard');
  await migrate(pg.url('yard', 'owner'), pg.url('yard'));
  writeFileSync(PID_FILE, String(process.pid));
  const { logFile, end } = await supervise({
    pg,
    url: pg.url('yard'),
    port: PORT,
    folder: FOLDER,
  }).catch((cause) => {
    pg.stop();
    throw cause;
  });
  const leave = async () => {
    await end();
    rmSync(PID_FILE, { force: true });
    process.exit(0);
  };
  process.on('SIGINT', leave);
  process.on('SIGTERM', leave);
  console.log(
    `Bolt Yard: http://127.0.0.1:${PORT}\nIt answers this machine only: there are no accounts yet. Its log is ${logFile}. Ctrl-C stops it.`,
  );
}

main(process.argv[2]).catch((error) => {
  rmSync(PID_FILE, { force: true });
  console.error(`yard: ${error.message}`);
  process.exit(1);
});
