// Keeps a web process and its database running: what dies is started again, and at the end nothing is left behind.
import { createStream } from 'rotating-file-stream';
import { healthOf, spawnServer, untilItAnswers } from './server.mjs';
import { spawnStandIns } from './standins.mjs';

/** How often the database is looked at, and how long a web process that keeps dying is left alone, ms. */
const LOOK_MS = 250;
const LEAST_WAIT_MS = 200;
const MOST_WAIT_MS = 5000;
/** A web process that lived this long begins with the least wait again, ms. */
const STEADY_MS = 30_000;
/** So long a web process may take to end, ms. */
const GRACE_MS = 7000;

/** When a log that cannot be written, for a disk is full, is opened again, ms. */
const REOPEN_MS = 1000;

/** The log file, in parts that are kept and let go. Where it cannot be written what happens is lost, and nothing else. */
function logIn(folder) {
  let stream = null;
  const open = () => {
    const own = createStream('server.log', { path: `${folder}/logs`, size: '5M', maxFiles: 5 });
    own.on('error', () => {
      if (stream !== own) return;
      stream = null;
      own.destroy();
      setTimeout(open, REOPEN_MS).unref();
    });
    stream = own;
  };
  open();
  return {
    write: (text) => void stream?.write(text),
    end: () => new Promise((resolve) => (stream ? stream.end(resolve) : resolve())),
  };
}

/** Starts both and resolves when they answer, with what ends them. */
export async function supervise({ pg, url, port, folder }) {
  const logFile = `${folder}/logs/server.log`;
  const log = logIn(folder);
  const say = (event) => log.write(`${JSON.stringify({ level: 40, time: Date.now(), supervisor: event })}\n`);
  let web = null;
  let ending = false;
  let waitMs = LEAST_WAIT_MS / 2;

  function startWeb() {
    const began = Date.now();
    web = spawnServer({
      url,
      port,
      stdio: 'pipe',
      channel: true,
      env: { YARD_LOG: logFile },
    });
    for (const stream of [web.stdout, web.stderr]) stream?.on('data', log.write);
    web.once('exit', (code, signal) => {
      web = null;
      if (ending) return;
      waitMs = Date.now() - began > STEADY_MS ? LEAST_WAIT_MS : Math.min(2 * waitMs, MOST_WAIT_MS);
      say(`the web process ended (${signal ?? code}); it is started again in ${waitMs} ms`);
      setTimeout(() => {
        if (ending) return;
        // Without its database it would only end again.
        lookAtDatabase();
        startWeb();
      }, waitMs);
    });
    return web;
  }

  let standIns = null;
  /** The stand-ins are beside the work: where they end they are started again after a while, and nothing else stops. */
  function startStandIns() {
    standIns = spawnStandIns({ stdio: 'pipe' });
    for (const stream of [standIns.stdout, standIns.stderr]) stream?.on('data', log.write);
    standIns.once('exit', (code, signal) => {
      standIns = null;
      if (ending) return;
      say(`the stand-ins ended (${signal ?? code}); they are started again in ${MOST_WAIT_MS} ms`);
      setTimeout(() => !ending && startStandIns(), MOST_WAIT_MS).unref();
    });
  }

  function lookAtDatabase() {
    if (pg.isRunning()) return;
    say('the database does not run; it is started again');
    try {
      pg.start();
    } catch (cause) {
      say(`the database did not start: ${cause.message}`);
    }
  }

  startStandIns();
  await untilItAnswers(startWeb(), healthOf(port));
  const watch = setInterval(lookAtDatabase, LOOK_MS);

  /** Ends the web process, then the database. */
  async function end() {
    if (ending) return;
    ending = true;
    clearInterval(watch);
    const child = web;
    if (child) {
      const gone = new Promise((resolve) => child.once('exit', resolve));
      child.kill('SIGTERM');
      const hard = setTimeout(() => child.kill('SIGKILL'), GRACE_MS);
      await gone;
      clearTimeout(hard);
    }
    standIns?.kill('SIGTERM');
    pg.stop();
    await log.end();
  }
  return { logFile, end };
}
