import { expect, test } from './test';
import { demoSite, open, saved } from './helpers';

test('a grid that stands high trips units on sunny days; a heavier cable, or a grid that stands lower, mends it', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/survey`);
  await page.getByLabel(/^Board voltage with nothing feeding/).fill('433');
  await page.getByRole('button', { name: 'Save the survey' }).click();
  await saved(page);

  await open(page, `/sites/${site}/ac/voltage`);
  await expect(page.getByText(/^INV-08 trips/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'From the grid at rest' })).toContainText('unit trips from 82.0 %');
  const mends = page.getByRole('region', { name: 'Smallest change that mends it' });
  for (const kind of ['tap', 'power factor', 'runs', 'less power'])
    await expect(mends.getByRole('rowheader', { name: kind, exact: true })).toBeVisible();

  // A year at this grid has such hours, one at a lower grid has none.
  const hours = page.getByTestId('trip-hours');
  await page.getByLabel(/^For a grid at rest of/).fill('437');
  await page.getByRole('button', { name: 'Count the hours of a year' }).click();
  await expect(hours).toContainText('437.0 V', { timeout: 60_000 });
  await expect(hours).not.toContainText(' 0 h ');
  await expect(hours).toContainText(/INV-08 \d+ h, at most/);
  await page.getByLabel(/^For a grid at rest of/).fill('410');
  await page.getByRole('button', { name: 'Count the hours of a year' }).click();
  await expect(hours).toContainText('410.0 V', { timeout: 60_000 });
  await expect(hours).toContainText('0 h of the year.');

  // Less power clears it, by the slider alone.
  await page.getByLabel(/^Power \d/).fill('20');
  await expect(page.getByText(/^Highest at INV-08/)).toBeVisible();
  await page.getByLabel(/^Power \d/).fill('100');

  // Heavier runs, laid at one press, and the last of them taken back.
  await mends.getByRole('row', { name: /^runs/ }).getByRole('button', { name: 'Lay it so' }).click();
  await saved(page);
  await expect(page.getByText(/^Highest at INV-0/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/^INV-0\d trips/)).toBeVisible();
});

test('two readings say that a loose joint of the run is ours', async ({ page, request }) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/ac/voltage`);
  const panel = page.getByRole('region', { name: 'Two readings: whose problem is it' });
  const type = (label: string, value: string) => panel.getByLabel(label).fill(value);
  await type('First, at the unit', '402');
  await type('First, at the board', '402');
  await type('First, power of the unit', '0');
  await type('Second, at the unit', '412');
  await type('Second, at the board', '403');
  await expect(panel.getByText('unknown', { exact: true }).first()).toBeVisible();
  await type('Second, power of the unit', '80');
  await expect(panel.getByText(/Ours: a loose or oxidised termination/)).toBeVisible();
});
