// In Chromium: moving a tag on a site of 60 inverters, and the page's thread while a layout of 2000 strings is searched.
// Prints lines like bench/run.mjs, which calls it.
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../scripts/browser.mjs';
import { ensureBuilt } from '../scripts/build.mjs';
import { freePort } from '../scripts/cluster.mjs';
import { startServer } from '../scripts/server.mjs';
import { testCluster } from '../scripts/testDatabase.mjs';
import { withModule } from '../scripts/viteNode.mjs';

const line = (...cells) => console.log(cells.join('\t'));
const digits = (x) => String(Number(x.toPrecision(4)));
const MOVES = 15;

const designs = await withModule('/bench/site.ts', async ({ bigSite }) => {
  const big = bigSite();
  return withModule('/bench/layouts.ts', ({ roofs60 }) => ({ big, roofs: roofs60() }));
});

await ensureBuilt();
const pg = await testCluster();
const port = await freePort();
const base = `http://127.0.0.1:${port}`;
const server = await startServer({ url: pg.url('yard_test'), port, demo: false });
const browser = await chromium.launch(CHROMIUM);

async function imported(design) {
  const file = {
    format: 'bolt-yard-project',
    version: 1,
    siteId: crypto.randomUUID(),
    revision: 1,
    exportedAt: new Date().toISOString(),
    design,
    releases: [],
    records: [],
  };
  const answer = await fetch(`${base}/api/v1/projects`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(file),
  });
  if (!answer.ok) throw new Error(await answer.text());
  return (await answer.json()).siteId;
}

try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${base}/sites/${await imported(designs.big)}/strings`);
  await page.waitForLoadState('networkidle');
  // Pick a tag up and hang it on another peg, by keyboard events sent inside the page; from the key to the next painted frame.
  const moves = await page.evaluate(async (count) => {
    const frame = () => new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
    const [answers, times] = [[], []];
    for (let i = 0; i < count; i++) {
      const peg = (unit, tracker) => document.querySelector(`[data-peg="${unit}/${tracker}/1"]`);
      peg(i % 20, 1).click();
      await frame();
      await new Promise((done) => setTimeout(done, 400));
      const began = performance.now();
      peg((i + 7) % 20, 2).click();
      await new Promise((done) => queueMicrotask(() => queueMicrotask(done)));
      answers.push(performance.now() - began);
      await frame();
      times.push(performance.now() - began);
      await new Promise((done) => setTimeout(done, 600));
    }
    const sorted = (list) => list.sort((a, b) => a - b);
    return { answers: sorted(answers), times: sorted(times) };
  }, MOVES);
  const report = (what, list) => {
    const median = list[MOVES >> 1];
    line(`browser.move a tag, 60 inverters, ${what}`, digits(median), 'ms', 'limit of 50 ms', digits(median / 50));
  };
  report('re-assessed and in the page', moves.answers);
  report('on the next painted frame', moves.times);

  await page.goto(`${base}/sites/${await imported(designs.roofs)}/strings`);
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(1000);
  const longest = await page.evaluate(async () => {
    const found = [];
    new PerformanceObserver((list) => found.push(...list.getEntries().map((e) => e.duration))).observe({
      type: 'longtask',
    });
    const button = (name) => [...document.querySelectorAll('button')].find((b) => b.textContent.trim() === name);
    const limit = [...document.querySelectorAll('select')].find((s) => [...s.options].some((o) => o.text === '30 s'));
    limit.selectedIndex = 2;
    limit.dispatchEvent(new Event('change', { bubbles: true }));
    button('Find the best layout').click();
    await new Promise((done) => setTimeout(done, 36_000));
    return found.length ? Math.max(...found) : 0;
  });
  line(
    'browser.longest task of the page while 2000 strings are laid out',
    digits(longest),
    'ms',
    'limit of 50 ms',
    digits(longest / 50),
  );
} finally {
  await browser.close();
  server.kill('SIGKILL');
  pg.remove();
}
process.exit(0);
