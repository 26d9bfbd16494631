import type { APIRequestContext, Page } from '@playwright/test';
import { expect, test } from './test';
import { readFile } from 'node:fs/promises';
import { demoSite, open, saved } from './helpers';

/** The demo site with twenty units, twelve of them newly hung. */
async function twentyUnits(request: APIRequestContext): Promise<string> {
  const project = JSON.parse(await readFile('demo/tarnholm-ice-rink.project.json', 'utf8')) as {
    design: { inverters: { id: string; tag: string; typeId: string; position: unknown }[] };
  };
  const [first] = project.design.inverters;
  for (let n = 9; n <= 20; n++)
    project.design.inverters.push({
      id: `inv-${n}`,
      tag: `INV-${String(n).padStart(2, '0')}`,
      typeId: first?.typeId ?? '',
      position: null,
    });
  const response = await request.post('/api/v1/projects', { data: project });
  expect(response.status()).toBe(201);
  return ((await response.json()) as { siteId: string }).siteId;
}

/** A cell of the schedule by its row and the head of its column. */
async function cellOf(page: Page, tag: string, head: RegExp) {
  const heads = await page.getByRole('columnheader').allTextContents();
  const at = heads.findIndex((h) => head.test(h.trim()));
  // The first head is that of the tag, which is a head itself in its row.
  return page
    .getByRole('row', { name: new RegExp(`^${tag}`) })
    .locator('td')
    .nth(at - 1);
}

/** Keys that come faster than the screen is painted. */
const keysAtOnce = (page: Page, keys: readonly Pick<KeyboardEventInit, 'key' | 'ctrlKey' | 'shiftKey'>[]) =>
  page.evaluate(async (all) => {
    for (const init of all) {
      document.activeElement?.dispatchEvent(new KeyboardEvent('keydown', { ...init, bubbles: true, cancelable: true }));
      // Focus goes where it belongs in the same task, before any frame.
      for (let i = 0; i < 20; i++) await Promise.resolve();
    }
  }, keys);

/** What a spreadsheet puts on the clipboard, into the focused cell. */
const pasteText = (page: Page, text: string) =>
  page.evaluate((plain) => {
    const data = new DataTransfer();
    data.setData('text/plain', plain);
    document.activeElement?.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
    );
  }, text);

test('twenty rows of a spreadsheet are pasted, two of them bad: said by row, the others taken, undone in one step', async ({
  page,
  request,
}) => {
  const site = await twentyUnits(request);
  await open(page, `/sites/${site}/ac`);
  const before = await (await cellOf(page, 'INV-02', /^Length/)).textContent();
  await (await cellOf(page, 'INV-01', /^Length/)).click();
  const lengths = Array.from({ length: 20 }, (_, i) => String(30 + i));
  lengths[4] = 'about 30';
  lengths[11] = '-5';
  await pasteText(page, lengths.join('\n'));
  const offer = page.getByRole('alert').filter({ hasText: 'From the clipboard' });
  await expect(offer).toContainText('18 rows can be taken; 2 rows wrong');
  await expect(offer).toContainText('Row 5, One-way length: must be a number (got about 30)');
  await expect(offer).toContainText('Row 12, One-way length: must be from 0.5 to 5000 m (got -5)');
  await offer.getByRole('button', { name: 'Take 18 rows' }).click();
  await saved(page);
  await expect(await cellOf(page, 'INV-20', /^Length/)).toHaveText('49');
  await expect(await cellOf(page, 'INV-02', /^Length/)).toHaveText('31');
  await expect(page.getByRole('button', { name: /^Undo/ })).toHaveAccessibleName('Undo: 18 runs');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(await cellOf(page, 'INV-02', /^Length/)).toHaveText(before ?? '');
});

test('the schedule is typed in by keyboard: one cell, a column of rows, filled down, and never wrongly', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/ac`);
  await (await cellOf(page, 'INV-01', /^Length/)).click();
  await page.keyboard.type('44');
  await page.keyboard.press('Enter');
  await expect(await cellOf(page, 'INV-01', /^Length/)).toHaveText('44');
  // The selection went down a row; what is wrong stays in the field with what would be right.
  await page.keyboard.type('0');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('One-way length: must be from 0.5 to 5000 m (got 0)');
  await page.keyboard.press('Escape');
  await expect(await cellOf(page, 'INV-02', /^Length/)).toHaveText('25');
  // Into every selected row, then the first down over the others.
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.type('61');
  await page.keyboard.press('Control+Enter');
  for (const tag of ['INV-02', 'INV-03', 'INV-04']) await expect(await cellOf(page, tag, /^Length/)).toHaveText('61');
  await (await cellOf(page, 'INV-01', /^Metal/)).click();
  await page.keyboard.type('al');
  await page.keyboard.press('Enter');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Control+d');
  await expect(await cellOf(page, 'INV-02', /^Metal/)).toHaveText('Al');
  await saved(page);
  // Sorted by length, the longest first, the rows go with their runs; found by a word, the others are out of sight.
  await page.getByRole('button', { name: /^Length/ }).click();
  await expect(page.getByRole('columnheader', { name: /^Length/ })).toHaveAttribute(
    'aria-sort',
    /ascending|descending/,
  );
  await page.getByRole('searchbox', { name: 'Show only runs with' }).fill('al');
  await expect(page.getByText('2 of 8 runs')).toBeVisible();
});

test('what is typed counts for the key that follows it before anything is painted', async ({ page, request }) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/ac`);
  await (await cellOf(page, 'INV-01', /^Metal/)).click();
  await page.keyboard.type('al');
  await keysAtOnce(page, [
    { key: 'Enter' },
    { key: 'ArrowUp' },
    { key: 'ArrowDown', shiftKey: true },
    { key: 'd', ctrlKey: true },
  ]);
  await expect(await cellOf(page, 'INV-01', /^Metal/)).toHaveText('Al');
  await expect(await cellOf(page, 'INV-02', /^Metal/)).toHaveText('Al');
  // The next column of the same run is emptied at once: what was typed in the one before stays.
  await (await cellOf(page, 'INV-01', /^Length/)).click();
  await page.keyboard.type('47');
  await keysAtOnce(page, [{ key: 'Tab' }, { key: 'Delete' }]);
  await saved(page);
  await expect(await cellOf(page, 'INV-01', /^Length/)).toHaveText('47');
  // Undo in the same moment does not take the change before it back: it is free once what was typed is saved.
  const row = page.getByRole('row', { name: /^INV-01/ });
  const emptied = await row.innerText();
  await (await cellOf(page, 'INV-01', /^Length/)).click();
  await page.keyboard.type('52');
  await keysAtOnce(page, [{ key: 'Enter' }, { key: 'z', ctrlKey: true }]);
  await expect(await cellOf(page, 'INV-01', /^Length/)).toHaveText('52');
  await saved(page);
  await page.keyboard.press('Control+z');
  await expect(await cellOf(page, 'INV-01', /^Length/)).toHaveText('47');
  expect(await row.innerText()).toBe(emptied);
});

test('the schedule goes out as CSV and comes back changed, a wrong row told with its number', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/ac`);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'CSV' }).click(),
  ]);
  const csv = await readFile(await download.path(), 'utf8');
  const lines = csv.split('\r\n');
  expect(lines[0]).toMatch(/^inverter,length_m,metal/);
  const length = lines[1]?.split(',')[1] ?? '';
  lines[1] = lines[1]?.replace(`INV-01,${length},`, 'INV-01,71.5,') ?? '';
  lines[2] = lines[2]?.replace(/^INV-02/, 'INV-99') ?? '';
  await page.getByLabel('Read a list, CSV or XLSX').setInputFiles({
    name: 'runs.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(lines.join('\r\n')),
  });
  const offer = page.getByRole('alert').filter({ hasText: 'From runs.csv' });
  await expect(offer).toContainText('7 rows can be taken; 1 row wrong');
  await expect(offer).toContainText('Row 3, inverter: is no inverter of this site (got INV-99)');
  await offer.getByRole('button', { name: 'Take 7 rows' }).click();
  await saved(page);
  await expect(await cellOf(page, 'INV-01', /^Length/)).toHaveText('71.5');
});

test('a lug that is too wide for its bay is said and drawn, and the nearest cable that lands is taken', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/ac`);
  const bay = page.getByRole('region', { name: 'AC bay of INV-01' });
  await expect(bay.getByRole('img')).toHaveAccessibleName(/palms 24 mm wide, 1 through the wall/);
  await expect(bay.getByText('What would fit')).toBeHidden();
  await (await cellOf(page, 'INV-01', /^Section/)).click();
  await page.keyboard.type('150');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row', { name: /^INV-01/ })).toContainText('stop');
  await expect(bay.getByRole('img')).toHaveAccessibleName(/palms 34 mm wide/);
  const fits = bay.getByRole('region', { name: 'What would fit' });
  await expect(fits).toContainText('a lug for 150 mm² with a narrow palm, up to 33.0 mm');
  await fits.getByRole('button', { name: 'Take it' }).click();
  await saved(page);
  await expect(await cellOf(page, 'INV-01', /^Section/)).toHaveText('120');
  await expect(page.getByRole('row', { name: /^INV-01/ })).toContainText('holds');
  // Or the lug in hand has the narrower palm: measured, it counts.
  await (await cellOf(page, 'INV-02', /^Section/)).click();
  await page.keyboard.type('150');
  await page.keyboard.press('Enter');
  await page
    .getByRole('row', { name: /^INV-02/ })
    .getByRole('button')
    .click();
  const palm = page.getByRole('region', { name: 'AC bay of INV-02' }).getByText(/Palm fits the width/);
  await expect(palm).toBeVisible();
  const form = page.getByRole('region', { name: 'Run of INV-02' });
  await form.getByLabel('Measured lug palm width').fill('30');
  await form.getByLabel('Measured cable diameter').fill('54');
  await form.getByRole('button', { name: 'Save the run' }).click();
  await saved(page);
  await expect(palm).toBeHidden();
});
