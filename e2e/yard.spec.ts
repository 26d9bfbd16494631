import { expect, test } from './test';
import { demoSite, open } from './helpers';

test('the yard is searched, filtered, sorted; a site is put aside and put back, copied as a start', async ({
  page,
  request,
}) => {
  await demoSite(request, 'brekkesund-fish-hall');
  // More sites than are drawn at first.
  for (let n = 1; n <= 20; n++) await request.post('/api/v1/sites', { data: { name: `Kiln ${n}` } });
  const made = await request.post('/api/v1/sites', { data: { name: 'Zander pumping hall' } });
  const { siteId } = (await made.json()) as { siteId: string };
  await open(page, '/');
  const row = page.getByRole('row', { name: /Zander pumping hall/ });
  // Of a long yard the end is drawn when it is looked at.
  await page.getByLabel('Find a site').fill('zander');
  await expect(row).toBeVisible();

  await page.getByLabel('Find a site').fill('fish brekk');
  await expect(row).toBeHidden();
  await expect(page.getByRole('row', { name: /Brekkesund fish hall/ }).first()).toBeVisible();
  await page.getByLabel('Find a site').fill('');
  await page.getByLabel('Worst verdict').selectOption('stop');
  await expect(row).toBeHidden();
  await page.getByLabel('Worst verdict').selectOption('');
  await page.getByLabel('Stage of the work').selectOption('released');
  await expect(row).toBeHidden();
  await page.getByLabel('Stage of the work').selectOption('');

  const sites = page.getByRole('rowheader');
  await page.getByRole('button', { name: 'Site' }).click();
  await expect(sites.first()).toHaveText(/Zander/);
  await expect(page.getByRole('columnheader', { name: /Site/ })).toHaveAttribute('aria-sort', 'descending');

  await page.getByRole('button', { name: 'Delete Zander pumping hall' }).press('Enter');
  await expect(row).toBeHidden();
  await expect(page.getByRole('status')).toContainText('is deleted: out of sight, with its record kept');
  await page.getByRole('button', { name: 'Put it back' }).press('Enter');
  await expect(row).toBeVisible();
  await page.getByRole('button', { name: 'Archive Zander pumping hall' }).click();
  await expect(row).toBeHidden();
  await page.reload();
  await page.getByLabel('Find a site').fill('zander');
  await expect(row).toBeHidden();
  await page.getByLabel('Standing').selectOption('archived');
  await page.getByRole('button', { name: 'Put Zander pumping hall back into the yard' }).click();
  await page.getByLabel('Standing').selectOption('open');
  await expect(row).toBeVisible();

  // Among many it is found, wherever in the list it stands.
  await page.getByLabel('Find a site').fill('zander pumping');
  await page.getByRole('button', { name: 'Cards' }).click();
  await expect(page.getByRole('list', { name: 'Line of Zander pumping hall' })).toBeVisible();
  await page.getByRole('button', { name: 'Duplicate Zander pumping hall' }).click();
  await page.getByLabel('Name of the copy').fill('Zander filter hall');
  await page.getByRole('button', { name: 'Open the copy' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Zander filter hall' })).toBeVisible();
  expect(page.url()).not.toContain(siteId);
});

test('the yard fits a phone without sideways scrolling: sites stand on cards until the table is chosen', async ({
  page,
  request,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const made = await request.post('/api/v1/sites', { data: { name: 'Reed boat house' } });
  expect(made.ok()).toBe(true);
  await open(page, '/');
  await page.getByLabel('Find a site').fill('reed boat');
  await expect(page.getByRole('list', { name: 'Line of Reed boat house' })).toBeInViewport();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await page.getByRole('button', { name: 'Table' }).click();
  await expect(page.getByRole('row', { name: /Reed boat house/ })).toBeVisible();
  await page.setViewportSize({ width: 1280, height: 800 });
  await expect(page.getByRole('row', { name: /Reed boat house/ })).toBeVisible();
});
