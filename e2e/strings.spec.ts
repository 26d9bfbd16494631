import { readFile, writeFile } from 'node:fs/promises';
import { expect, test } from './test';
import type { Page } from '@playwright/test';
import { demoSite, fill, open, saved } from './helpers';

const proposal = (page: Page) => page.getByTestId('proposal');
const addWish = async (page: Page, wish: string, more: Record<string, string> = {}) => {
  if (!(await page.getByLabel(/^Wish/).isVisible())) await page.getByText(/^Locks and wishes/).click();
  await page.getByLabel(/^Wish/).selectOption({ label: wish });
  await fill(page.getByRole('region', { name: 'Best layout' }), more);
  await page.getByRole('button', { name: 'Add the wish' }).click();
};

test('the best layout is searched in the background, stopped, searched again, compared and hung', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/strings`);
  await page.getByRole('button', { name: /^INV-01 tracker 2 input 1:/ }).click();
  await page.getByRole('button', { name: 'Hang on none' }).click();
  await expect(page.getByRole('list', { name: 'Modules left over' })).toContainText('modules hang on an input');
  await page.getByRole('button', { name: 'Find the best layout' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Best so far' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Find the best layout' })).toBeEnabled();
  await expect(proposal(page)).toBeHidden();

  await page.getByLabel('Time at most').selectOption('5');
  await page.getByRole('button', { name: 'Find the best layout' }).click();
  await expect(proposal(page)).toBeVisible({ timeout: 40_000 });
  await expect(proposal(page)).toContainText(/Proved best|Within \d/);
  await expect(proposal(page)).toContainText('independent verifier: legal');
  await expect(proposal(page).getByRole('row', { name: /modules left over/ })).toContainText('proved');
  await expect(proposal(page)).toContainText(/Against the board: [1-9]\d* strings differ/);
  await page.getByRole('button', { name: 'Hang it like this' }).click();
  await saved(page);
  await expect(page.getByRole('list', { name: 'Modules left over' })).toBeHidden();
  await expect(page.getByRole('list', { name: 'Not legal' })).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await saved(page);
});

test('a locked tag stays where it hangs when the layout is solved again', async ({ page, request }) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/strings`);
  const peg = page.getByRole('button', { name: /^INV-01 tracker 3 input 1:/ });
  await peg.focus();
  await page.keyboard.press('l');
  await expect(peg).toHaveAccessibleName(/locked/);
  const name = await peg.getAttribute('aria-label');
  await page.getByLabel('Time at most').selectOption('5');
  await page.getByRole('button', { name: 'Find the best layout' }).click();
  await expect(proposal(page)).toBeVisible({ timeout: 40_000 });
  if (await page.getByRole('button', { name: 'Hang it like this' }).isEnabled())
    await page.getByRole('button', { name: 'Hang it like this' }).click();
  await saved(page);
  await expect(peg).toHaveAttribute('aria-label', name ?? '');
  await page.getByText(/^Locks and wishes/).click();
  await page.getByRole('button', { name: 'release', exact: true }).click();
  await expect(peg).not.toHaveAccessibleName(/locked/);
});

test('demands that contradict each other are named in plain words, with what would release them', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/strings`);
  await addWish(page, 'every module is used');
  await addWish(page, 'length of a plane’s strings', { 'Plane of the wish': 'Hall south', 'Modules in series': '15' });
  await page.getByLabel('Time at most').selectOption('60');
  await page.getByRole('button', { name: 'Find the best layout' }).click();
  const conflict = page.getByRole('alert').filter({ hasText: 'What would release it' });
  await expect(conflict).toBeVisible({ timeout: 90_000 });
  await expect(conflict).toContainText('contradict each other: every module is used; Hall south in strings of 15');
  await expect(conflict).toContainText('Take off the lock: Hall south in strings of 15.');
  await expect(proposal(page)).toBeHidden();
});

test('fleets from the shelf are ranked, and the board is searched, filtered and sized', async ({ page, request }) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/strings`);
  await page.getByText('What would you hang here?').click();
  await page.getByRole('button', { name: 'Rank fleets from the shelf' }).click();
  await expect(page.getByRole('heading', { name: /^1\. \d+ × Ostwick/ })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole('heading', { name: /^3\. / })).toBeVisible();

  await page.getByLabel('Find a unit or string').fill('inv-07');
  await expect(page.getByText('1 of 8 units')).toBeVisible();
  await page.getByLabel('Find a unit or string').fill('nowhere');
  await expect(page.getByText('Nothing here is called “nowhere”')).toBeVisible();
  await page.getByLabel('Find a unit or string').fill('');
  await page.getByLabel('Size').selectOption('small');
  await expect(page.getByText('8 units', { exact: true })).toBeVisible();
});

test('a string list goes out as CSV, comes back changed, and bad rows are refused one by one', async ({
  page,
  request,
}, info) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/strings/lists`);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'CSV', exact: true }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('tarnholm-ice-rink-strings.csv');
  const csv = await readFile(await download.path(), 'utf8');
  const [header = '', first = '', ...rest] = csv.trimEnd().split('\r\n');
  const bad = info.outputPath('bad.csv');
  await writeFile(bad, [header, first, first, '300,Attic,17', ...rest].join('\r\n'));
  await page.getByLabel(/^Read a list/).setInputFiles(bad);
  await expect(page.getByRole('alert')).toContainText('nothing was taken');
  await expect(page.getByRole('alert')).toContainText('stands in row 2 already');
  await expect(page.getByRole('alert')).toContainText('Row 4, plane: is no plane of this site');

  const fewer = info.outputPath('fewer.csv');
  await writeFile(fewer, [header, ...rest].join('\r\n'));
  await page.getByLabel(/^Read a list/).setInputFiles(fewer);
  await expect(page.getByTestId('list-read')).toContainText('102 strings, 1 differ');
  await page.getByRole('button', { name: 'Take the list over' }).click();
  await saved(page);
  const xlsx = await request.get(`/sites/${site}/strings/lists/map.xlsx`);
  expect(xlsx.headers()['content-type']).toContain('spreadsheetml');
});

test('labels and plug-in sheets are printed in input order, with caps and expected voltages', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/strings/lists`);
  const sheet = page.getByRole('region', { name: 'Plug-in sheet of INV-01' });
  await expect(sheet.getByRole('row').nth(1)).toContainText('1.1');
  // 17 × 51.62 V × (1 − 0.00251 × (T − 25)) at 15, 25 and 35 °C.
  await expect(sheet.getByRole('row').nth(1)).toContainText('900');
  await expect(sheet.getByRole('row').nth(1)).toContainText('878');
  await expect(sheet.getByRole('row').nth(1)).toContainText('856');
  await expect(sheet).toContainText('Caps on:');
  await page.getByLabel('To print').selectOption('labels');
  await expect(page.getByRole('list', { name: 'String labels' }).getByRole('listitem')).toHaveCount(103);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'Main' })).toBeHidden();
  await expect(page.getByRole('list', { name: 'String labels' })).toBeVisible();
  const pdf = await page.pdf({ format: 'A4' });
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
});

test('a year is computed with progress, kept for the next visit, and stale once the design changes', async ({
  page,
  request,
}, info) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/strings/year`);
  await page.getByRole('button', { name: 'Compute the year' }).click();
  await expect(page.getByTestId('year')).toContainText('MWh', { timeout: 60_000 });
  await expect(page.getByText(/^Computed in/)).toBeVisible();
  await open(page, `/sites/${site}/strings/year`);
  await expect(page.getByTestId('year')).toContainText('No weather file: a clear sky dimmed');
  await page.getByText('Without a file, and losses').click();
  await page.getByLabel(/^Monthly clearness/).fill('0.5 0.5 0.5');
  await page.getByRole('button', { name: 'Save the inputs' }).click();
  await expect(page.getByText('Give twelve values, January first.')).toBeVisible();
  await expect(page.getByLabel(/^Monthly clearness/)).toHaveValue('0.5 0.5 0.5');
  await page.getByLabel(/^Monthly clearness/).fill('0.5 0.5 0.5 0.6 0.6 0.6 0.6 0.6 0.6 0.5 0.5 0.4');
  await page.getByRole('button', { name: 'Save the inputs' }).click();
  await expect(page.getByTestId('year').getByRole('status')).toContainText('Compute again');

  const file = info.outputPath('short.epw');
  await writeFile(
    file,
    ['LOCATION,Tarnholm,-,-,x,0,57.3,10.2,1,24', ...Array(7).fill('HEADER'), '2025,1,1,1,0'].join('\n'),
  );
  await page.getByLabel(/^Weather file/).setInputFiles(file);
  await expect(page.getByRole('alert')).toContainText('Line 9: 5 fields, EPW needs at least 22.');
});

test('mixing two orientations shows its price, and unequal lengths stop', async ({ page, request }) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/strings/curves`);
  await expect(page.getByRole('img', { name: /Current and power of INV-01 tracker 1/ })).toBeVisible();
  await page.getByRole('button', { name: 'Over a year' }).click();
  await expect(page.getByTestId('mixing-year')).toContainText('kWh', { timeout: 60_000 });
  await page.getByLabel('Modules of the second').fill('15');
  await page.getByRole('button', { name: 'Over a year' }).click();
  await expect(page.getByTestId('mixing-year')).toContainText('stop. Unequal lengths', { timeout: 60_000 });
});

test('the bench is two inputs away from a string window, a fuse, a cable and a curve', async ({ page }) => {
  await open(page, '/bench');
  await expect(page.getByText(/Missing: lowest design temperature, hot design temperature/)).toBeVisible();
  await page.getByLabel('Coldest morning').fill('-16');
  await page.getByLabel('Hot ambient').fill('33');
  await expect(page.getByText(/Legal \d+ to \d+ modules/)).toBeVisible();
  await page.getByLabel('Coldest morning').fill('-99');
  await expect(page.getByRole('alert')).toContainText('−60 to 35 °C');
  await page.getByLabel('Strings in parallel').fill('3');
  // A module that sees behind wants to be told how much light comes from there.
  await expect(page.getByRole('region', { name: 'String fuse' })).toContainText('Give the light on the rear');
  await page.getByLabel('Light on the rear').fill('0.1');
  await expect(page.getByRole('region', { name: 'String fuse' })).toContainText(
    /Needed, both poles|no standard rating/,
  );
  await page.getByLabel('One way').fill('55');
  await expect(page.getByRole('region', { name: 'DC cable' })).toContainText('%');
});
