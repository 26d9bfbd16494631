// The office and the roof at once: two web processes and one PostgreSQL, a hundred connections over pages, API and record writes on a thousand
// sites, one of them with 60 inverters and 10 000 entries. Beside them, in the same run, a route that does nothing.
import { readFileSync } from 'node:fs';
import { once } from 'node:events';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { Worker } from 'node:worker_threads';
import autocannon from 'autocannon';
import { freePort } from '../scripts/ports.mjs';
import { startServer } from '../scripts/server.mjs';
import { testCluster } from '../scripts/testDatabase.mjs';
import { withBuilt } from './built.mjs';

const SECONDS = Number(process.env.LOAD_SECONDS ?? 60);
const SITES = Number(process.env.LOAD_SITES ?? 1000);
const ENTRIES = 10_000;
/** With the limit of their p95 to that of the no-op, where there is one. */
const LIMITS = { 'no-op': null, 'record write': 3, page: 6, 'data of a page': 6, 'api read': null };
const NAMES = Object.keys(LIMITS);
/** Of all connections, for each of these in each process: a hundred in all. */
const CONNECTIONS = 100 / NAMES.length / 2;

const line = (...cells) => console.log(cells.join('\t'));
const digits = (x) => String(Number(x.toPrecision(4)));
const atShare = (times, share) =>
  times.sort((a, b) => a - b)[Math.min(times.length - 1, Math.floor(times.length * share))];
/** @param {{ pid?: number }} child */
const rssMb = ({ pid }) => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;
const id = (n) => `01960000-0000-7000-8000-${n.toString(16).padStart(12, '0')}`;
const any = (n) => Math.floor(Math.random() * n);

const { small, big, point } = await withBuilt('bench/loadSites.ts', (m) => m);
const pg = await testCluster();
const ports = [await freePort(), await freePort()];
const servers = await Promise.all(
  ports.map((port) => startServer({ url: pg.url('yard_test'), port, demo: false, env: { LOG_LEVEL: 'error' } })),
);
const at = (i) => `http://127.0.0.1:${ports[i % 2]}`;
const JSON_TYPE = { 'content-type': 'application/json' };

async function take(i, file) {
  const response = await fetch(`${at(i)}/api/v1/projects`, {
    method: 'POST',
    headers: JSON_TYPE,
    body: JSON.stringify(file),
  });
  if (!response.ok) throw new Error(await response.text());
}

/** Requests of a sort, without end. */
const SORTS = {
  'no-op': () => ({ method: 'GET', path: '/api/v1/clock' }),
  'record write': () => ({
    method: 'POST',
    path: `/api/v1/sites/${site()}/records`,
    headers: JSON_TYPE,
    body: JSON.stringify(point()),
  }),
  page: () => ({ method: 'GET', path: `/sites/${site()}/${['survey', 'strings', 'ac', 'energise'][any(4)]}` }),
  // What the browser asks for next: the site on every page, and of the four above one has the record and two have the shelf.
  'data of a page': () => ({ method: 'GET', path: dataOf(site()) }),
  'api read': () => ({ method: 'GET', path: `/api/v1/sites/${site()}/${any(2) ? 'assessment' : 'releases/cost'}` }),
};
const dataOf = (id) =>
  [
    ...Array(4).fill(`/api/v1/sites/${id}`),
    `/api/v1/sites/${id}/records`,
    `/sites/${id}/survey/__data.json`,
    `/sites/${id}/strings/__data.json`,
  ][any(7)];
/** One request in ten goes to the large site. */
const site = () => id(any(10) ? 1 + any(SITES - 1) : 0);

function cannon(name, i, times, wrong) {
  return new Promise((resolve, reject) => {
    const instance = autocannon(
      {
        url: at(i),
        connections: CONNECTIONS,
        duration: SECONDS,
        // Longer than the server itself gives anything.
        timeout: 40,
        requests: [{ setupRequest: (request) => ({ ...request, ...SORTS[name]() }) }],
      },
      (error, result) => (error ? reject(error) : resolve(result)),
    );
    instance.on('response', (_, status, __, ms) => {
      times.push(ms);
      if (status >= 400) wrong.push(status);
    });
    instance.on('reqError', (cause) => wrong.push(cause.message));
  });
}

/** Watches the health of a process ten times a second; `end` answers with the ms of every answer. */
function health(i) {
  const worker = new Worker(new URL('health.mjs', import.meta.url), {
    workerData: { url: `${at(i)}/healthz`, everyMs: 100 },
  });
  const ready = once(worker, 'message');
  return {
    ready,
    async end() {
      worker.postMessage('end');
      const [times] = await once(worker, 'message');
      return times;
    },
  };
}

try {
  const began = performance.now();
  await take(0, { ...big(ENTRIES), siteId: id(0) });
  line('load.import of 10 000 entries', digits((performance.now() - began) / 1000), 's', 'itself', '1');
  for (let n = 1; n < SITES; n += 8)
    await Promise.all(
      Array.from({ length: Math.min(8, SITES - n) }, (_, k) => take(n + k, { ...small(), siteId: id(n + k) })),
    );
  // What a process knows of a site it knows after the first question.
  for (const i of [0, 1]) {
    const first = performance.now();
    for (const path of [`/sites/${id(0)}/energise`, `/api/v1/sites/${id(0)}`, `/api/v1/sites/${id(0)}/records`])
      await (await fetch(`${at(i)}${path}`)).text();
    line(`load.first page of the large site, process ${i + 1}`, digits(performance.now() - first), 'ms', 'itself', '1');
  }
  const times = Object.fromEntries(NAMES.map((n) => [n, []]));
  const wrong = Object.fromEntries(NAMES.map((n) => [n, []]));
  const wells = [0, 1].map(health);
  await Promise.all(wells.map((w) => w.ready));
  const own = monitorEventLoopDelay({ resolution: 5 });
  own.enable();
  const memory = () => servers.reduce((s, c) => s + rssMb(c), 0);
  const thirds = [];
  const sample = setInterval(() => thirds.push(memory()), (SECONDS * 1000) / 3);
  await Promise.all(NAMES.flatMap((name) => [0, 1].map((i) => cannon(name, i, times[name], wrong[name]))));
  clearInterval(sample);
  const asked = (await Promise.all(wells.map((w) => w.end()))).flat();
  const [third, twoThirds] = thirds;
  const late = memory();
  const noop = atShare(times['no-op'], 0.95);
  for (const name of NAMES) {
    const p95 = atShare(times[name], 0.95);
    const reference = LIMITS[name] ? `no-op, limit of ${LIMITS[name]} ×` : 'no-op';
    line(`load.${name}, p95`, digits(p95), 'ms', reference, digits(p95 / noop));
    line(
      `load.${name}, median`,
      digits(atShare(times[name], 0.5)),
      'ms',
      'no-op',
      digits(atShare(times[name], 0.5) / atShare(times['no-op'], 0.5)),
    );
    line(`load.${name}, answered`, times[name].length, '', 'no-op', digits(times[name].length / times['no-op'].length));
    line(
      `load.${name}, errors`,
      wrong[name].length,
      wrong[name].slice(0, 3).join(' '),
      'limit of 0',
      wrong[name].length ? 'broken' : 'kept',
    );
  }
  line(
    'load.healthz over 250 ms',
    asked.filter((t) => t > 250).length,
    `of ${asked.length}`,
    'longest, ms',
    digits(Math.max(...asked)),
  );
  line('load.memory of both processes', digits(late), 'MB', 'at a third of the run', digits(late / third));
  line('load.memory of both processes', digits(late), 'MB', 'at two thirds of the run', digits(late / twoThirds));
  line('load.delay of the measuring process itself, p99', digits(own.percentile(99) / 1e6), 'ms', 'itself', '1');
} finally {
  servers.forEach((s) => s.kill('SIGKILL'));
  pg.remove();
}
