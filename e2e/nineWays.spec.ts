import type { Page } from '@playwright/test';
import { expect, test } from './test';
import { confirmStep, demoSite, fill, gateOf, open, passGate, saved, signOn, turnTime } from './helpers';

/** Ways in which a person could talk a permit round: each is tried by hand, and the unit stays off. */

/** The site on its last unit, with the day made safe and the permit given. */
async function permitted(page: Page, site: string): Promise<void> {
  await open(page, `/sites/${site}/energise`);
  await signOn(page);
  await passGate(page, 'Safe start of the day');
  await passGate(page, 'Permit to energise');
}

async function report(page: Page, what: string, seen: string): Promise<void> {
  await page.getByText('Report a danger').click();
  await page.getByLabel('What happened').selectOption({ label: what });
  await page.locator('details').filter({ hasText: 'Report a danger' }).getByLabel('What was seen').fill(seen);
  await page.getByRole('button', { name: 'Report it' }).click();
}

async function notSwitchedOn(page: Page): Promise<void> {
  const order = page.getByRole('region', { name: /^Switching/ });
  await expect(order.getByText(/Not yet: .*I-PERMIT of INV-08/)).toBeVisible();
  await expect(order.getByRole('button', { name: 'Done: confirm this step' })).toBeHidden();
}

test('joints torqued again heal nothing that rested on the open one', async ({ page, request }) => {
  await permitted(page, await demoSite(request));
  await report(page, 'joint opened, INV-08', 'L2 was found loose');
  await gateOf(page, /AC joints torqued.*stale/).click();
  const torque = page.getByRole('region', { name: /AC joints torqued/ });
  const joints = torque.getByLabel(/^(unit|board) .*N·m/);
  for (let i = 0; i < (await joints.count()); i++) await joints.nth(i).fill('25');
  await fill(torque, { 'Torque printed': '25', 'Witness marks': 'yes' });
  await torque.getByRole('button', { name: 'Record and sign' }).click();
  await expect(gateOf(page, /AC joints torqued.*passed/)).toBeVisible();
  for (const above of [/AC voltages at the unit.*stale/, /Covers closed.*stale/, /Permit to energise.*stale/])
    await expect(gateOf(page, above)).toBeVisible();
  await notSwitchedOn(page);
});

test('an accepted caution ends with its reading', async ({ page, request }) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/energise`);
  await signOn(page);
  await passGate(page, 'Safe start of the day');
  const card = page.getByRole('region', { name: /Insulation of the AC run/ });
  const measure = async (megohm: string) => {
    await gateOf(page, /Insulation of the AC run/).click();
    const again = card.getByText('Measure it again');
    if (await again.isVisible()) await again.click();
    await fill(card, { 'Test voltage': '500', 'Lowest resistance': megohm, Duration: '60' });
    await card.getByRole('button', { name: 'Record and sign' }).click();
  };
  await measure('4');
  await expect(gateOf(page, /Insulation of the AC run.*caution/)).toBeVisible();
  await gateOf(page, /Insulation of the AC run/).click();
  await card.getByLabel(/An electrician may accept/).fill('damp morning, dried and looked at');
  await card.getByRole('button', { name: 'Accept the caution' }).click();
  await expect(gateOf(page, /Insulation of the AC run.*accepted/)).toBeVisible();
  await measure('3');
  await expect(gateOf(page, /Insulation of the AC run.*caution/)).toBeVisible();
  await expect(gateOf(page, /Permit to energise.*(locked|stale)/)).toBeVisible();
});

test('a release with another bus address costs the address and the permit that rested on it', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await permitted(page, site);
  await open(page, `/sites/${site}/links`);
  await page.getByLabel('Address of INV-08').fill('88');
  await page.getByLabel('Address of INV-08').press('Tab');
  await saved(page);
  await page.getByRole('button', { name: 'Release …' }).click();
  await page.getByLabel('Released by').fill('Rosa Vahl');
  await page.getByRole('button', { name: /Release revision/ }).click();
  await expect(page.getByText('released B')).toBeVisible();
  await open(page, `/sites/${site}/energise`);
  // Set to what was planned then: by the newest release it is the wrong one.
  await gateOf(page, /Bus address.*failed/).click();
  await gateOf(page, /Permit to energise.*stale/).click();
  await expect(page.getByText('I-COVER of INV-08 is not closed any more')).toBeVisible();
  await notSwitchedOn(page);
});

test('an earth fault reported after the insulation passed withdraws the permit', async ({ page, request }) => {
  await permitted(page, await demoSite(request));
  await report(page, 'earth fault on the DC side, INV-08', 'isolation monitor tripped');
  await expect(gateOf(page, /Strings landed.*stale/)).toBeVisible();
  await expect(gateOf(page, /Permit to energise.*stale/)).toBeVisible();
  await notSwitchedOn(page);
});

test('a permit ends with its day, and with it the order that was begun', async ({ page, request }) => {
  const site = await demoSite(request);
  await turnTime(page);
  await permitted(page, site);
  await confirmStep(page, 'remove locks, announce', 'all switches off');
  await page.clock.fastForward('24:00:00');
  await page.clock.runFor(60_000);
  await expect(gateOf(page, /Safe start of the day.*open/)).toBeVisible();
  await expect(gateOf(page, /Permit to energise.*(open|locked)/)).toBeVisible();
  const order = page.getByRole('region', { name: /^Switching/ });
  await expect(order.getByText(/The order stopped: .*(ended with its day|not safe any more)/)).toBeVisible();
  await expect(order.getByRole('button', { name: 'Done: confirm this step' })).toBeHidden();
});
