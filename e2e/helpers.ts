import type { APIRequestContext, Locator, Page } from '@playwright/test';
import { expect } from '@playwright/test';
import { readFile } from 'node:fs/promises';

/** A site of its own for a test: a copy of a demo project, with what a test wants otherwise. */
export async function demoSite(
  request: APIRequestContext,
  name = 'tarnholm-ice-rink',
  over: Readonly<Record<string, unknown>> = {},
): Promise<string> {
  const project = JSON.parse(await readFile(`demo/${name}.project.json`, 'utf8')) as Record<string, unknown>;
  const response = await request.post('/api/v1/projects', { data: { ...project, ...over } });
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

/**
 * A page whose time the test turns on, and a server that goes by it: waits pass without being waited for. It begins so many minutes ago, for the
 * waits to have room; where the test releases a design itself, within the five that clocks may drift, or its entries came before it.
 */
export async function turnTime(page: Page, minutesAgo = 20): Promise<void> {
  await page.clock.install({ time: Date.now() - minutesAgo * 60_000 });
  await page.route('**/api/v1/clock', async (route) =>
    route.fulfill({ json: { nowMs: await page.evaluate(() => Date.now()) } }),
  );
}

/** Name, role, licence and the company's instruments, as taken once on a device. */
export async function signOn(page: Page, name = 'Rosa Vahl', role = 'electrician'): Promise<void> {
  await page.getByRole('button', { name: 'Sign on', exact: true }).click();
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Role').selectOption(role);
  if (role === 'electrician') await page.getByLabel('Licence valid until').fill('2099-12-31');
  await page.getByRole('button', { name: 'Take all' }).click();
  await page.getByRole('button', { name: 'Keep on this device' }).click();
  await expect(page.getByRole('button', { name: `Signed on: ${name}` })).toBeVisible();
}

/** Types into number and text fields of a form by their label, and picks from selects. */
export async function fill(scope: Page | Locator, values: Record<string, string>): Promise<void> {
  for (const [label, value] of Object.entries(values)) {
    const field = scope.getByLabel(new RegExp(`^${label.replace(/[()]/g, '\\$&')}`)).first();
    if ((await field.evaluate((e) => e.tagName)) === 'SELECT') await field.selectOption({ label: value });
    else await field.fill(value);
  }
}

/** A gate in the list of the unit on screen. */
export const gateOf = (page: Page, name: string | RegExp): Locator =>
  page.getByRole('region', { name: /^Gates of/ }).getByRole('button', { name });

/** Signs the gate of this name as passed. */
export async function passGate(page: Page, name: string): Promise<void> {
  await gateOf(page, new RegExp(name)).click();
  await page.getByLabel('What was seen or measured').fill(`${name}: looked at and in order`);
  await page.getByRole('button', { name: 'Sign: passed' }).click();
  await expect(gateOf(page, new RegExp(`${name}.*passed`))).toBeVisible();
}

/** Types the same figure into every field of the open step that asks for volts at an input. */
async function everyInput(order: Locator, volts: string): Promise<void> {
  const inputs = order.getByLabel(/^Input \d/);
  for (let i = 0; i < (await inputs.count()); i++) await inputs.nth(i).fill(volts);
}

/** Confirms the open step of the order of switching, after its wait. */
export async function confirmStep(
  page: Page,
  action: string,
  seen: string,
  fillIn: (order: Locator) => Promise<void> = async () => undefined,
  waitS = 0,
): Promise<void> {
  const order = page.getByRole('region', { name: /^Switching/ });
  await expect(order.getByText(action, { exact: true })).toBeVisible();
  await fillIn(order);
  if (waitS > 0) {
    await expect(order.getByRole('timer')).toBeVisible();
    await expect(order.getByRole('button', { name: 'Done: confirm this step' })).toBeDisabled();
    await page.clock.runFor((waitS + 2) * 1000);
  }
  await order.getByLabel('What was seen').fill(seen);
  const open = order.getByText(action, { exact: true });
  // What a slow page did not hear is pressed again; what it refuses it says.
  await expect(async () => {
    if (await open.isVisible())
      await order.getByRole('button', { name: 'Done: confirm this step' }).click({ timeout: 5000 });
    await expect(open).toBeHidden({ timeout: 8000 });
  })
    .toPass({ timeout: 30_000 })
    .catch(async (cause: unknown) => {
      const said = await page.getByRole('alert').allInnerTexts();
      throw new Error(`“${action}” was not confirmed; the page says: ${said.join(' | ') || 'nothing'}`, { cause });
    });
}

const typed = (values: Record<string, string>) => (order: Locator) => fill(order, values);

/** The whole first order with its waits, from the permit on: volts at the inputs, power at last and the light it is made of. */
export async function energise(
  page: Page,
  inputV: (order: Locator) => Promise<void>,
  powerKw: string,
  light: string,
): Promise<void> {
  await confirmStep(page, 'remove locks, announce', 'all switches off');
  await confirmStep(
    page,
    'close the AC breaker',
    'display awake',
    typed({ 'L1–L2': '403', 'L2–L3': '403', 'L3–L1': '403' }),
    10,
  );
  await confirmStep(page, 'close DC switches one at a time', 'inputs show their voltage', inputV, 5);
  await confirmStep(page, 'wait', 'relay clicked, no code', typed({ 'Fault codes shown': '0' }));
  await confirmStep(
    page,
    'wait, countdown on screen',
    'slow blink',
    typed({ 'Line voltage at the end': '404', Frequency: '50.01' }),
    60,
  );
  await confirmStep(page, 'watch', 'steady light', typed({ 'AC power': '4.2' }));
  await confirmStep(
    page,
    'read the site meter before and after',
    'meter step fits',
    typed({ 'AC power after five minutes': powerKw, 'Irradiance in the plane': light }),
    300,
  );
}
export const volts = (at: string) => (order: Locator) => everyInput(order, at);
