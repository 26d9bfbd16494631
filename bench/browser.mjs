// In Chromium: the script that each stage loads first, moving a tag on a site of 60 inverters, scrolling a board of 2000 strings and a yard of 500 sites,
// and the page's thread while a layout of 2000 strings is searched.
// Prints lines like bench/run.mjs, which calls it.
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../scripts/browser.mjs';
import { ensureBuilt } from '../scripts/build.mjs';
import { freePort } from '../scripts/ports.mjs';
import { siteViews } from '../scripts/siteViews.mjs';
import { startServer } from '../scripts/server.mjs';
import { testCluster } from '../scripts/testDatabase.mjs';
import { gzipSync } from 'node:zlib';
import { withModule } from '../scripts/viteNode.mjs';

const line = (...cells) => console.log(cells.join('\t'));
const digits = (x) => String(Number(x.toPrecision(4)));
const MOVES = 15;
const SITES = 500;
const SCRIPT_MOST_KB = 170;
const TASK_MOST_MS = 50;

const designs = await withModule('/bench/site.ts', async ({ bigSite, plannedSite, runSite }) => {
  const big = bigSite();
  const runs = runSite();
  const planned = plannedSite();
  return withModule('/bench/layouts.ts', ({ roofs60 }) => ({ big, planned, runs, roofs: roofs60() }));
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

/** What a first visit to an address loads of script, kB as gzip packs it. */
async function scriptKb(path) {
  const context = await browser.newContext();
  const page = await context.newPage();
  const bodies = [];
  page.on('response', (r) => {
    if (r.url().startsWith(base) && /\.js($|\?)/.test(r.url())) bodies.push(r.body().catch(() => Buffer.alloc(0)));
  });
  await page.goto(`${base}${path}`);
  await page.waitForLoadState('networkidle');
  const packed = (await Promise.all(bodies)).reduce((sum, body) => sum + gzipSync(body, { level: 9 }).length, 0);
  await context.close();
  return packed / 1000;
}

/** The longest task of the page while it is scrolled from top to end and back, ms. */
const longestWhileScrolling = (page) =>
  page.evaluate(async () => {
    const found = [];
    const observer = new PerformanceObserver((list) => found.push(...list.getEntries().map((e) => e.duration)));
    observer.observe({ type: 'longtask' });
    const frame = () => new Promise((done) => requestAnimationFrame(done));
    const end = document.documentElement.scrollHeight;
    for (const direction of [1, -1])
      for (let at = 0; at < end; at += 120) {
        window.scrollBy(0, 120 * direction);
        await frame();
      }
    await new Promise((done) => setTimeout(done, 300));
    observer.disconnect();
    return found.length ? Math.max(...found) : 0;
  });
const limited = (what, value, unit, most) =>
  line(`browser.${what}`, digits(value), unit, `limit of ${most} ${unit}`, digits(value / most));

try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.addInitScript(() => {
    // A message that the frame's first callback sends is taken right behind the frame, before what was put off until then.
    globalThis.painted = () =>
      new Promise((done) =>
        requestAnimationFrame(() => {
          const { port1, port2 } = new MessageChannel();
          port1.onmessage = done;
          port2.postMessage(null);
        }),
      );
  });
  const bigId = await imported(designs.big);
  for (const stage of siteViews())
    limited(`first load of ${stage}, script`, await scriptKb(`/sites/${bigId}/${stage}`), 'kB', SCRIPT_MOST_KB);
  limited('first load of the yard, script', await scriptKb('/'), 'kB', SCRIPT_MOST_KB);
  await page.goto(`${base}/sites/${bigId}/strings`);
  await page.waitForLoadState('networkidle');
  // Pick a tag up and hang it on another peg, by keyboard events sent inside the page; from the key to the next painted frame.
  const moves = await page.evaluate(async (count) => {
    const frame = () => new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
    const [answers, times] = [[], []];
    for (let i = 0; i < count; i++) {
      const peg = (unit, tracker) =>
        /** @type {HTMLElement} */ (document.querySelector(`[data-peg="${unit}/${tracker}/1"]`));
      peg(i % 20, 1).click();
      await frame();
      await new Promise((done) => setTimeout(done, 400));
      const to = () => peg((i + 7) % 20, 2).textContent;
      const [was, frameWithIt] = [to(), globalThis.painted()];
      const began = performance.now();
      peg((i + 7) % 20, 2).click();
      await new Promise((done) => queueMicrotask(() => queueMicrotask(() => done(null))));
      answers.push(performance.now() - began);
      await frameWithIt;
      times.push(performance.now() - began);
      if (to() === was) throw new Error(`the tag did not move to ${was}`);
      await new Promise((done) => setTimeout(done, 600));
    }
    const sorted = (list) => list.sort((a, b) => a - b);
    return { answers: sorted(answers), times: sorted(times) };
  }, MOVES);
  const report = (what, list, did = 'move a tag, 60 inverters') => {
    const median = list[MOVES >> 1];
    line(`browser.${did}, ${what}`, digits(median), 'ms', 'limit of 50 ms', digits(median / 50));
  };
  report('re-assessed and in the page', moves.answers);
  report('on the next painted frame', moves.times);

  // A unit pushed over a plan of 60 units, 1440 home runs and nine trays: from the key to the painted frame, and until it is said what changes.
  await page.goto(`${base}/sites/${await imported(designs.planned)}/plan`);
  await page.waitForLoadState('networkidle');
  const pushes = await page.evaluate(async (count) => {
    const frame = () => new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
    const [times, said] = [[], []];
    const unit = document.querySelector('[data-thing="inv-30"]');
    for (let i = 0; i < count; i++) {
      const began = performance.now();
      unit.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true }));
      await frame();
      times.push(performance.now() - began);
      while (document.querySelector('[data-testid="plan-news"]').textContent.includes('looking what changes'))
        await frame();
      said.push(performance.now() - began);
      await new Promise((done) => setTimeout(done, 300));
    }
    const sorted = (list) => list.sort((a, b) => a - b);
    return { times: sorted(times), said: sorted(said) };
  }, MOVES);
  report('on the next painted frame', pushes.times, 'push a unit on a plan of 60');
  line(
    'browser.push a unit on a plan of 60, what changes is said',
    digits(pushes.said[MOVES >> 1]),
    'ms',
    'itself',
    '1',
  );

  // A length typed in a schedule of 500 runs: from the key that takes it to the painted frame with it, and until what follows from it stands there.
  await page.goto(`${base}/sites/${await imported(designs.runs)}/ac`);
  await page.waitForLoadState('networkidle');
  await page.locator('tr[aria-rowindex="5"] [role="gridcell"]').nth(5).click();
  const typed = await page.evaluate(async (count) => {
    const frame = () => new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
    const key = (name) =>
      document.activeElement.dispatchEvent(
        new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true }),
      );
    const [times, worked] = [[], []];
    for (let i = 0; i < count; i++) {
      key('F2');
      await frame();
      const row = document.activeElement.closest('tr');
      const field = /** @type {HTMLInputElement} */ (document.activeElement);
      field.value = String(40 + i);
      field.dispatchEvent(new Event('input', { bubbles: true }));
      await frame();
      const figures = () => [...row.querySelectorAll('.text-dim')].map((c) => c.textContent).join();
      const old = figures();
      const began = performance.now();
      const frameWithIt = globalThis.painted();
      key('Enter');
      await frameWithIt;
      times.push(performance.now() - began);
      const cells = [...row.querySelectorAll('[role="gridcell"]')].map((c) => c.textContent.trim());
      if (!cells.includes(String(40 + i))) throw new Error(`typed ${40 + i}, painted ${cells}`);
      while (figures() === old && performance.now() - began < 5000) await frame();
      worked.push(performance.now() - began);
      await new Promise((done) => setTimeout(done, 600));
    }
    const sorted = (list) => list.sort((a, b) => a - b);
    return { times: sorted(times), worked: sorted(worked) };
  }, MOVES);
  report('on the next painted frame', typed.times, 'type a length in a schedule of 500 runs');
  line(
    'browser.type a length in a schedule of 500 runs, what follows from it stands there',
    digits(typed.worked[MOVES >> 1]),
    'ms',
    'itself',
    '1',
  );

  await page.goto(`${base}/sites/${await imported(designs.roofs)}/strings`);
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(1000);
  const ofBoard = await longestWhileScrolling(page);
  limited('longest task while a board of 2000 strings scrolls', ofBoard, 'ms', TASK_MOST_MS);
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

  for (let n = 0; n < SITES; n += 10)
    await Promise.all(
      Array.from({ length: 10 }, (_, k) =>
        fetch(`${base}/api/v1/sites`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ name: `Site ${n + k}` }),
        }),
      ),
    );
  await page.goto(base);
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(1000);
  for (const as of ['Table', 'Cards']) {
    await page.getByRole('button', { name: as }).click();
    await page.waitForTimeout(1000);
    const ofYard = await longestWhileScrolling(page);
    limited(`longest task while a yard of ${SITES} sites scrolls, ${as.toLowerCase()}`, ofYard, 'ms', TASK_MOST_MS);
  }
} finally {
  await browser.close();
  server.kill('SIGKILL');
  pg.remove();
}
process.exit(0);
