import AxeBuilder from '@axe-core/playwright';
import { expect, test } from './test';
import { siteViews } from '../scripts/siteViews.mjs';
import { demoSite, open } from './helpers';

// Twelve views with a thousand checks each take the scanner minutes on a slow machine.
test.setTimeout(420_000);

async function seriousFindings(page: Parameters<typeof open>[0]) {
  const { violations } = await new AxeBuilder({ page }).analyze();
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map(
      (v) =>
        `${v.id}: ${v.nodes
          .slice(0, 3)
          .map((n) => n.html)
          .join(' | ')}`,
    );
}

for (const demo of ['tarnholm-ice-rink', 'brekkesund-fish-hall', 'ulvaby-bus-depot']) {
  test(`no serious finding on any view of ${demo}`, async ({ page, request }) => {
    const site = await demoSite(request, demo);
    for (const path of siteViews().map((view) => `/sites/${site}/${view}`)) {
      await open(page, path);
      expect(await seriousFindings(page), path).toEqual([]);
    }
  });
}

test('no serious finding on the yard, the shelf, the bench and the rules', async ({ page }) => {
  for (const path of ['/', '/shelf', '/bench', '/rules']) {
    await open(page, path);
    expect(await seriousFindings(page), path).toEqual([]);
  }
});

test('field screens fit a phone without sideways scrolling, and have no serious finding there', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await page.setViewportSize({ width: 390, height: 844 });
  for (const stage of ['mounting', 'links', 'log', 'energise']) {
    await open(page, `/sites/${site}/${stage}`);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    expect(await seriousFindings(page), stage).toEqual([]);
  }
});
