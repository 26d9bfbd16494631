import { expect, test } from '@playwright/test';
import { confirmStep, demoSite, fill, open, passGate, signOn, turnTime } from './helpers';

test('a phone without signal keeps its entries over a reload, counts them, and sends them when somebody answers', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/energise`);
  await signOn(page);
  await page.route('**/records', (route) => route.abort());
  await passGate(page, 'Safe start of the day');
  await expect(page.getByText('1 entry is not sent yet')).toBeVisible();
  // From stage to stage the device goes on with what it knows.
  await page.getByRole('link', { name: 'Site log', exact: true }).click();
  await page.getByRole('link', { name: 'Energise', exact: true }).click();
  await expect(page.getByText(/Nobody answers: this is the record as it was read at/)).toBeVisible();
  await expect(page.getByRole('button', { name: /Safe start of the day.*passed/ })).toBeVisible();
  // After a reload it knows what it has not sent, and says that it knows no more.
  await open(page, `/sites/${site}/energise`);
  await expect(page.getByText('1 entry is not sent yet')).toBeVisible();
  await expect(page.getByText('the record of this site was not read yet')).toBeVisible();
  await page.unroute('**/records');
  await page.getByRole('button', { name: 'Send now' }).click();
  await expect(page.getByText('not sent yet')).toBeHidden();
  await page.getByRole('button', { name: 'Ask again' }).click();
  await expect(page.getByRole('button', { name: /Safe start of the day.*passed/ })).toBeVisible();
  await open(page, `/sites/${site}/energise`);
  await expect(page.getByRole('button', { name: /Safe start of the day.*passed/ })).toBeVisible();
});

test('a danger stops the order where it stands, and a stale gate takes no signature', async ({ page, request }) => {
  const site = await demoSite(request);
  await turnTime(page);
  await open(page, `/sites/${site}/energise`);
  await signOn(page);
  await passGate(page, 'Safe start of the day');
  await passGate(page, 'Permit to energise');
  await confirmStep(page, 'remove locks, announce', 'all switches off');
  const lines = { 'L1–L2': '403', 'L2–L3': '403', 'L3–L1': '403' };
  await confirmStep(page, 'close the AC breaker', 'display awake', (order) => fill(order, lines), 10);
  await page.getByText('Report a danger').click();
  await page.getByLabel('What happened').selectOption({ label: 'joint opened, INV-08' });
  await page.locator('details').filter({ hasText: 'Report a danger' }).getByLabel('What was seen').fill('L2 loose');
  await page.getByRole('button', { name: 'Report it' }).click();
  const order = page.getByRole('region', { name: /^Switching/ });
  await expect(order.getByText(/The order stopped: the permit was withdrawn/)).toBeVisible();
  await expect(order.getByRole('heading')).toContainText('Switch off, isolate, prove dead');
  await order.getByRole('button', { name: 'Order 1' }).click();
  await expect(order.getByRole('button', { name: 'Done: confirm this step' })).toBeHidden();
  await expect(order.getByText(/Switch off until proved:/)).toBeVisible();
  await page.getByRole('button', { name: /I-COVER.*stale/ }).click();
  await expect(page.getByText(/I-TORQ of INV-08 is not closed any more|not closed any more/).first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Sign: passed' })).toBeHidden();
});

test('a release says before it is made which proofs it would cost', async ({ page, request }) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/ac`);
  const run = page.getByRole('region', { name: 'Run of INV-01' });
  await fill(run, { 'One-way length': '33' });
  await run.getByRole('button', { name: 'Save the run' }).click();
  await expect(page.getByText(/· saved$/)).toBeVisible();
  await page.getByRole('button', { name: 'Release …' }).click();
  const cost = page.getByRole('status').filter({ hasText: 'to be made anew' });
  await expect(cost).toBeVisible();
  // The run of one unit alone: its earths, its joints, what rests on them.
  await expect(cost.getByRole('listitem').filter({ hasText: 'INV-02' })).toHaveCount(0);
  await expect(page.getByText(/I-PE of INV-01: this design changes what it rests on/)).toBeVisible();
});
