// ./yard pictures: the screenshots of the README, from the demo company on a database of its own.
import { chromium } from '@playwright/test';
import { mkdirSync } from 'node:fs';
import { CHROMIUM } from './browser.mjs';
import { ensureBuilt } from './build.mjs';
import { freePort } from './ports.mjs';
import { startServer } from './server.mjs';
import { testCluster } from './testDatabase.mjs';

const DEMO_SITE = '/sites/01969a00-1000-7000-8000-000000000001';
const DEMO_QUAY = '/sites/01969a00-1000-7000-8000-000000000002';
const WIDE = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

/**
 * Name of the picture, path, size of the window, and what to do before the picture is taken.
 * @type {[string, string, { width: number, height: number }, ((page: import('@playwright/test').Page) => Promise<unknown>)?][]}
 */
const VIEWS = [
  ['yard', '/', WIDE],
  ['survey', `${DEMO_SITE}/survey`, WIDE],
  ['strings', `${DEMO_SITE}/strings`, WIDE, (page) => page.getByRole('button', { name: 'Scale' }).click()],
  ['peg-board', `${DEMO_SITE}/strings`, WIDE],
  ['curves', `${DEMO_SITE}/strings/curves`, WIDE],
  [
    'year',
    `${DEMO_SITE}/strings/year`,
    WIDE,
    async (page) => {
      await page.getByRole('button', { name: 'Compute the year' }).click();
      await page.getByTestId('year').waitFor({ timeout: 60_000 });
      await toTop(page.getByRole('heading', { name: 'A year of energy' }));
    },
  ],
  [
    'bench',
    '/bench',
    WIDE,
    async (page) => {
      await page.getByLabel('Coldest morning').fill('-16');
      await page.getByLabel('Hot ambient').fill('33');
    },
  ],
  ['ac', `${DEMO_SITE}/ac`, WIDE],
  [
    'voltage',
    `${DEMO_SITE}/ac/voltage`,
    WIDE,
    async (page) => {
      await page.getByLabel(/^Grid at rest/).fill('433');
      await page.evaluate(() => scrollTo(0, 0));
    },
  ],
  [
    'plan',
    `${DEMO_SITE}/plan`,
    WIDE,
    async (page) => {
      await page.getByRole('searchbox', { name: 'Find a length' }).fill('string 40');
      await page.getByRole('button', { name: 'way' }).first().click();
      await page.evaluate(() => scrollTo(0, 0));
    },
  ],
  ['mounting', `${DEMO_QUAY}/mounting`, WIDE, (page) => page.getByRole('button', { name: /^INV-01, / }).press('Enter')],
  ['links', `${DEMO_SITE}/links`, WIDE],
  [
    'scope',
    `${DEMO_SITE}/links/scope`,
    WIDE,
    async (page) => {
      await page.getByLabel('Wired').selectOption('far terminator missing');
      await page.getByText('wiring not to rule').waitFor({ timeout: 60_000 });
      await page.evaluate(() => scrollTo(0, 0));
    },
  ],
  ['energise', `${DEMO_SITE}/energise`, WIDE],
  ['log-phone', `${DEMO_SITE}/log`, PHONE],
  ['handover', `${DEMO_SITE}/handover`, WIDE],
  ['shelf', '/shelf', WIDE],
  ['rules', '/rules', WIDE],
  // Last: it changes the site.
  [
    'layout',
    `${DEMO_SITE}/strings`,
    WIDE,
    async (page) => {
      await page.getByRole('button', { name: /^INV-03 tracker 2 input 1:/ }).click();
      await page.getByRole('button', { name: 'Hang on none' }).click();
      await page.getByRole('button', { name: 'Find the best layout' }).click();
      await page.getByTestId('proposal').waitFor({ timeout: 60_000 });
      await toTop(page.getByRole('heading', { name: 'Best layout' }));
    },
  ],
];

const toTop = (locator) => locator.first().evaluate((e) => e.scrollIntoView({ block: 'start' }));

const only = process.argv.slice(2);
await ensureBuilt();
mkdirSync('docs/screenshots', { recursive: true });
const pg = await testCluster();
const port = await freePort();
const server = await startServer({ url: pg.url('yard_test'), port });
const browser = await chromium.launch(CHROMIUM);
try {
  for (const [name, path, viewport, before] of VIEWS) {
    if (only.length && !only.includes(name)) continue;
    const page = await browser.newPage({ viewport });
    await page.goto(`http://127.0.0.1:${port}${path}`);
    await page.waitForLoadState('networkidle');
    await before?.(page);
    await page.screenshot({ path: `docs/screenshots/${name}.png` });
    await page.close();
    console.log(`docs/screenshots/${name}.png`);
  }
} finally {
  await browser.close();
  server.kill('SIGKILL');
  pg.remove();
}
process.exit(0);
