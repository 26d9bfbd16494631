// ./yard faults: what can go wrong under a running Bolt Yard, one thing after the other, with twenty writers throughout. One table at the end:
// acknowledged entries that are lost, entries that are there twice, and how long until somebody was answered again.
import { execFileSync, spawn, spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { ensureBuilt } from './build.mjs';
import { cluster } from './cluster.mjs';
import { freePort } from './ports.mjs';
import { withModule } from './viteNode.mjs';

const WRITERS = 20;
const SETTLE_MS = Number(process.env.FAULT_SETTLE_MS ?? 4000);
/** A part of a fault's name: that one alone. */
const ONLY = process.argv[2];
const LOCK_MS = Number(process.env.FAULT_LOCK_MS ?? 30_000);
/** A disk of this size fills while entries come in, MB. */
const DISK_MB = 110;
const SITE = '01969a00-1000-7000-8000-000000000001';

const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
const kill9 = (...pids) => pids.forEach((pid) => process.kill(pid, 'SIGKILL'));
const childOf = (pid, name) =>
  readFileSync(`/proc/${pid}/task/${pid}/children`, 'utf8')
    .split(' ')
    .filter(Boolean)
    .map(Number)
    .find((child) => readFileSync(`/proc/${child}/cmdline`, 'utf8').includes(name));

/** Ends a process that may have ended by itself. */
async function ended(child) {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const gone = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGTERM');
  await gone;
}

/** A Bolt Yard of its own, kept running as ./yard up keeps it. */
async function yard(folder) {
  const [port, databasePort] = [await freePort(), await freePort()];
  const env = {
    ...process.env,
    YARD_FOLDER: folder,
    YARD_PORT: String(port),
    YARD_DATABASE_PORT: String(databasePort),
  };
  const at = `http://127.0.0.1:${port}/api/v1`;
  const database = cluster(`${folder}/postgres`, databasePort);
  const answers = () =>
    fetch(`http://127.0.0.1:${port}/healthz`).then(
      (r) => r.ok,
      () => false,
    );
  const up = async () => {
    const own = spawn('node', ['scripts/serve.mjs', 'up'], { env, stdio: 'ignore' });
    while (!(await answers())) await pause(100);
    return own;
  };
  let supervisor = await up();
  const web = () => childOf(supervisor.pid, 'web.mjs');
  return {
    at,
    database,
    web,
    /** Ends as people end it, and starts again. */
    async again() {
      await ended(supervisor);
      supervisor = await up();
    },
    async end() {
      await ended(supervisor);
      rmSync(database.folder, { recursive: true, force: true });
    },
  };
}

/** Twenty people who write without pause, each entry until somebody acknowledges it. */
function writing(at) {
  const acknowledged = [];
  const odd = [];
  let refused = 0;
  let longestMs = 0;
  let on = true;
  const writer = async () => {
    while (on) {
      const entry = openPoint(uuidv7());
      for (let done = false; on && !done;) {
        const began = Date.now();
        const status = await send(at, entry);
        longestMs = Math.max(longestMs, Date.now() - began);
        if (status === 201) acknowledged.push({ id: entry.id, ms: Date.now() });
        else if (status === 0 || status === 503) refused += 1;
        else odd.push(status);
        done = status === 201 || ![0, 503].includes(status);
        if (!done) await pause(50);
      }
    }
  };
  const all = Array.from({ length: WRITERS }, writer);
  return {
    acknowledged,
    odd,
    counts: () => ({ refused, longestMs }),
    end: async () => ((on = false), await Promise.allSettled(all)),
  };
}
const send = (at, entry) =>
  fetch(`${at}/sites/${SITE}/records`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(entry),
  }).then(
    async (r) => (await r.arrayBuffer(), r.status),
    () => 0,
  );

async function asAdmin(database, work) {
  const client = new pg.Client({ connectionString: database.url('yard', 'admin') });
  client.on('error', () => undefined);
  await client.connect();
  await work(client);
  await client.end().catch(() => undefined);
}

const FAULTS = {
  'web process killed': (y) => kill9(y.web()),
  'database killed': (y) => kill9(y.database.pid()),
  'both killed': (y) => kill9(y.web(), y.database.pid()),
  'stopped and started': (y) => y.again(),
  'database restarted': (y) => y.database.stop('fast'),
  'sessions ended': (y) =>
    asAdmin(y.database, (c) =>
      c.query("select pg_terminate_backend(pid) from pg_stat_activity where application_name like 'bolt-yard%'"),
    ),
  [`site held for ${LOCK_MS / 1000} s`]: (y) =>
    asAdmin(y.database, async (c) => {
      await c.query('begin');
      await c.query('select id from site where id = $1 for update', [SITE]);
      await pause(LOCK_MS);
      await c.query('rollback');
    }),
};

/** One fault, with the longest time in which nobody was answered once it was over; null where nobody is any more. */
async function after(y, load, fault) {
  await fault(y);
  const over = Date.now();
  const since = () => load.acknowledged.map((a) => a.ms).filter((ms) => ms > over);
  while ((since().at(-1) ?? 0) < over + SETTLE_MS) {
    if (Date.now() - over > 60_000) return null;
    await pause(10);
  }
  const moments = [over, ...since()];
  return Math.max(...moments.slice(1).map((ms, i) => ms - moments[i]));
}

async function kept(at, acknowledged) {
  const file = await (await fetch(`${at}/sites/${SITE}/project`)).json();
  const ids = file.records.map((r) => r.id);
  const known = new Set(ids);
  const chain = await (await fetch(`${at}/sites/${SITE}/records/chain`)).json();
  return {
    lost: acknowledged.filter(({ id }) => !known.has(id)).length,
    doubled: ids.length - known.size,
    whole: chain.broken.length === 0,
  };
}

const rows = [];
async function watched(name, y, fault) {
  const load = writing(y.at);
  await pause(500);
  const back = await after(y, load, fault);
  await load.end();
  const { lost, doubled, whole } = await kept(y.at, load.acknowledged);
  rows.push([
    name,
    load.acknowledged.length,
    load.counts().refused,
    lost,
    doubled,
    back === null ? 'never' : `${back} ms`,
    `${load.counts().longestMs} ms`,
    whole ? 'whole' : 'BROKEN',
    load.odd.join(' '),
  ]);
  console.error(rows.at(-1).join('\t'));
}

/** A cluster whose disk is full while entries come in, and then has room again. */
async function fullDisk() {
  const disk = mkdtempSync('/var/tmp/bolt-yard-disk-');
  const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${DISK_MB}m,mode=755`, 'tmpfs', disk]);
  if (mounted.status !== 0) {
    rmSync(disk, { recursive: true, force: true });
    rows.push(['disk full', '–', '–', '–', '–', 'not allowed here: no tmpfs can be mounted', '–', '–', '']);
    return;
  }
  const y = await yard(disk);
  try {
    await watched('disk full', y, async () => {
      const fill = path.join(disk, 'fill');
      spawnSync('dd', ['if=/dev/zero', `of=${fill}`, 'bs=1M']);
      await pause(5000);
      rmSync(fill);
    });
  } finally {
    await y.end();
    execFileSync('umount', [disk]);
    rmSync(disk, { recursive: true, force: true });
  }
}

const openPoint = await withModule('/src/core/testing/openPoint.ts', (m) => m.openPoint);
await ensureBuilt();
mkdirSync('.yard', { recursive: true });
const folder = mkdtempSync(path.resolve('.yard/faults-'));
const y = await yard(folder);
try {
  for (const [name, fault] of Object.entries(FAULTS)) if (!ONLY || name.includes(ONLY)) await watched(name, y, fault);
} finally {
  await y.end();
  rmSync(folder, { recursive: true, force: true });
}
if (!ONLY || 'disk full'.includes(ONLY)) await fullDisk();
console.log(
  [
    'fault',
    'acknowledged',
    'not taken',
    'lost',
    'doubled',
    'back after',
    'longest wait for an answer',
    'chain',
    'odd answers',
  ].join('\t'),
);
for (const row of rows) console.log(row.join('\t'));
const bad = rows.some(
  ([, , , lost, doubled, back, , chain, odd]) =>
    lost > 0 || doubled > 0 || back === 'never' || chain === 'BROKEN' || odd,
);
process.exit(bad ? 1 : 0);
