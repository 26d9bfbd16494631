import type { APIRequestContext, Locator, Page } from '@playwright/test';
import { expect } from '@playwright/test';
import { readFile } from 'node:fs/promises';

/** A site of its own for a test: a copy of a demo project. */
export async function demoSite(request: APIRequestContext, name = 'tarnholm-ice-rink'): Promise<string> {
  const response = await request.post('/api/v1/projects', {
    headers: { 'content-type': 'application/json' },
    data: await readFile(`demo/${name}.project.json`, 'utf8'),
  });
  expect(response.status()).toBe(201);
  return ((await response.json()) as { siteId: string }).siteId;
}

/** The page when it is alive: hydrated, nothing loading. */
export async function open(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await page.waitForLoadState('networkidle');
}

export async function saved(page: Page): Promise<void> {
  await expect(page.getByText(/· saved$/)).toBeVisible();
}

/** Name, role and instrument, as typed once on a device. */
export async function signOn(page: Page): Promise<void> {
  await page.getByLabel('Name', { exact: true }).fill('Rosa Vahl');
  await page.getByLabel('Role').selectOption('electrician');
  await page.getByLabel('Instrument', { exact: true }).fill('PV test set');
  await page.getByLabel('Its serial number').fill('PTS-0417');
  await page.getByLabel('Calibrated until').fill('2099-12-31');
  await page.getByRole('button', { name: 'Keep on this device' }).click();
}

/** Types into number and text fields of a form by their label, and picks from selects. */
export async function fill(scope: Page | Locator, values: Record<string, string>): Promise<void> {
  for (const [label, value] of Object.entries(values)) {
    const field = scope.getByLabel(new RegExp(`^${label.replace(/[()]/g, '\\$&')}`)).first();
    if ((await field.evaluate((e) => e.tagName)) === 'SELECT') await field.selectOption({ label: value });
    else await field.fill(value);
  }
}

/** Signs the gate of this name as passed. */
export async function passGate(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: new RegExp(name) }).click();
  await page.getByLabel('What was seen or measured').fill(`${name}: looked at and in order`);
  await page.getByRole('button', { name: 'Sign: passed' }).click();
  await expect(page.getByRole('button', { name: new RegExp(`${name}.*passed`) })).toBeVisible();
}

/** Confirms the open step of the energising order, after its wait. */
async function confirmStep(
  page: Page,
  action: string,
  seen: string,
  reading?: [string, string],
  waitS = 0,
): Promise<void> {
  const order = page.getByRole('region', { name: /Usual order/ });
  await expect(order.getByText(action, { exact: true })).toBeVisible();
  if (waitS > 0) {
    await expect(order.getByRole('timer')).toBeVisible();
    await expect(order.getByRole('button', { name: 'Done: confirm this step' })).toBeDisabled();
    await page.clock.runFor((waitS + 1) * 1000);
  }
  if (reading) await order.getByLabel(new RegExp(`^${reading[0]}`)).fill(reading[1]);
  await order.getByLabel('What was seen').fill(seen);
  await order.getByRole('button', { name: 'Done: confirm this step' }).click();
  await expect(order.getByText(action, { exact: true })).toBeHidden();
}

/** The whole usual order with its waits, from the permit on. */
export async function energise(page: Page, powerKw: string): Promise<void> {
  await confirmStep(page, 'remove locks, announce', 'all switches off');
  await confirmStep(page, 'close the AC breaker', 'display awake', ['Line voltage shown', '403'], 10);
  await confirmStep(
    page,
    'close DC switches one at a time',
    'inputs show their voltage',
    ['Lowest input voltage shown', '810'],
    5,
  );
  await confirmStep(page, 'wait', 'relay clicked, no code');
  await confirmStep(page, 'wait, countdown on screen', 'slow blink', ['Line voltage at the end', '404'], 60);
  await confirmStep(page, 'watch', 'steady light', ['AC power', '4.2']);
  await confirmStep(
    page,
    'read the site meter before and after',
    'meter step fits',
    ['AC power after five minutes', powerKw],
    300,
  );
}
