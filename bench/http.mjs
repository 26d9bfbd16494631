// Times an edit of the 60-unit site over HTTP, against posts that change nothing, on the built server with a database of its own.
import { freePort } from '../scripts/ports.mjs';
import { startServer } from '../scripts/server.mjs';
import { testCluster } from '../scripts/testDatabase.mjs';
import { withModule } from '../scripts/viteNode.mjs';

const line = (...cells) => console.log(cells.join('\t'));
const digits = (x) => String(Number(x.toPrecision(4)));
const median = (times) => times.sort((a, b) => a - b)[times.length >> 1];

const design = await withModule('/bench/site.ts', ({ bigSite }) => bigSite());
const pg = await testCluster();
const port = await freePort();
const server = await startServer({ url: pg.url('yard_test'), port, demo: false });
const at = `http://127.0.0.1:${port}/api/v1`;
const post = (path, body) =>
  fetch(`${at}${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });

/** Median of posts that the server takes, and the size of an answer. */
async function timedEdits(siteId, edit, runs = 60) {
  let revision = 1;
  let bytes = 0;
  const times = [];
  for (let i = 0; i < runs + 10; i++) {
    const started = performance.now();
    const response = await post(`/sites/${siteId}/edits`, { revision, edit: edit(i) });
    const text = await response.text();
    if (i >= 10) times.push(performance.now() - started);
    if (!response.ok) throw new Error(text);
    revision = JSON.parse(text).revision;
    bytes = Math.max(bytes, text.length);
  }
  return { ms: median(times), bytes };
}

try {
  const file = {
    format: 'bolt-yard-project',
    version: 1,
    siteId: '01960000-0000-7000-8000-000000000001',
    revision: 1,
    exportedAt: '2026-01-01T00:00:00Z',
    design,
    releases: [],
    records: [],
  };
  const { siteId } = await (await post('/projects', file)).json();
  const empty = (await (await post('/sites', { name: 'Empty' })).json()).siteId;
  const refused = [];
  for (let i = 0; i < 40; i++) {
    const started = performance.now();
    await (await post(`/sites/${empty}/undo`, { revision: 99 })).text();
    refused.push(performance.now() - started);
  }
  const nothing = await timedEdits(empty, () => ({ kind: 'bit-rate', bitRate: null }));
  const moved = await timedEdits(siteId, (i) => {
    const [a, b] = [design.strings[i], design.strings[(i * 7 + 720) % 1440]];
    return { kind: 'hang-string', stringId: a.id, place: b.place };
  });
  line(
    'http.edit of 60 units',
    digits(moved.ms),
    'ms',
    'edit that changes nothing on an empty site',
    digits(moved.ms / nothing.ms),
  );
  line(
    'http.edit that changes nothing',
    digits(nothing.ms),
    'ms',
    'post refused for its revision',
    digits(nothing.ms / median(refused)),
  );
  line('http.edit answer', moved.bytes, 'B', 'limit of 5000 B', digits(moved.bytes / 5000));
} finally {
  server.kill('SIGTERM');
  pg.remove();
}
process.exit(0);
