// How long one request holds up all others: a watcher asks for the health of the process without pause while somebody works on a site of 60
// inverters and 10 000 entries. The longest answer of the watcher, a line for each thing that is done; the process is a fresh one.
import { once } from 'node:events';
import { Worker } from 'node:worker_threads';
import { freePort } from '../scripts/ports.mjs';
import { startServer } from '../scripts/server.mjs';
import { testCluster } from '../scripts/testDatabase.mjs';
import { withBuilt } from './built.mjs';

const ENTRIES = 10_000;
const LIMIT_MS = 200;
const SITE = '01960000-0000-7000-8000-000000000000';
const line = (...cells) => console.log(cells.join('\t'));
const digits = (x) => String(Number(x.toPrecision(4)));

const { big, point } = await withBuilt('bench/loadSites.ts', (m) => m);
const pg = await testCluster();
const port = await freePort();
const at = `http://127.0.0.1:${port}`;
const start = () => startServer({ url: pg.url('yard_test'), port, demo: false, env: { LOG_LEVEL: 'error' } });

async function ask(path, body) {
  const headers = { 'content-type': 'application/json' };
  const response = await fetch(
    `${at}${path}`,
    body === undefined ? {} : { method: 'POST', headers, body: JSON.stringify(body) },
  );
  const text = await response.text();
  if (!response.ok) throw new Error(`${path}: ${text.slice(0, 300)}`);
  return text;
}
const api = (path, body) => ask(`/api/v1/sites/${SITE}${path}`, body);
const revision = async () => JSON.parse(await api('')).revision;
const edit = (bitRate) => async () =>
  api('/edits', { revision: await revision(), edit: { kind: 'bit-rate', bitRate } });

/** Everything that a person or a program does to a site, the first time and again. */
const WORK = {
  'opening the site, first': () => api(''),
  'opening its record, first': () => api('/records'),
  'opening its record, again': () => api('/records'),
  'an entry, first': () => api('/records', point()),
  'an entry, again': () => api('/records', point()),
  'an edit, first': edit(9600),
  'an edit, again': edit(4800),
  'its undo': async () => api('/undo', { revision: await revision() }),
  'the summary for the list': () => new Promise((resolve) => setTimeout(resolve, 1500)),
  'the list of sites': () => ask('/'),
  'the assessment': () => api('/assessment'),
  'the cost of a release': () => api('/releases/cost'),
  'an edit before a release': edit(4800),
  'a release': async () => api('/releases', { revision: await revision(), by: 'R. Vahl' }),
  'the record after it': () => api('/records'),
  'the hand-over': () => ask(`/sites/${SITE}/handover/__data.json`),
  'the pack': () => ask(`/sites/${SITE}/handover/pack.pdf`),
  'the string map': () => ask(`/sites/${SITE}/strings/lists/map.csv`),
  'the chain': () => api('/records/chain'),
  'the project file': () => api('/project'),
};

let server = await start();
try {
  await ask('/api/v1/projects', { ...big(ENTRIES), siteId: SITE });
  server.kill('SIGKILL');
  await once(server, 'exit');
  server = await start();
  let worst = 0;
  for (const [name, work] of Object.entries(WORK)) {
    const watcher = new Worker(new URL('health.mjs', import.meta.url), {
      workerData: { url: `${at}/healthz`, everyMs: 5 },
    });
    await once(watcher, 'message');
    const began = performance.now();
    await work();
    const tookMs = performance.now() - began;
    watcher.postMessage('end');
    const [times] = await once(watcher, 'message');
    const longest = Math.max(...times);
    worst = Math.max(worst, longest);
    line(
      `held.${name}`,
      digits(longest),
      'ms',
      `limit of ${LIMIT_MS} ms; took ${digits(tookMs)} ms`,
      digits(longest / LIMIT_MS),
    );
  }
  line('held.longest of all', digits(worst), 'ms', `limit of ${LIMIT_MS} ms`, digits(worst / LIMIT_MS));
} finally {
  server.kill('SIGKILL');
  pg.remove();
}
