import type { APIRequestContext, Browser, Page } from '@playwright/test';
import { expect, test } from './test';
import { confirmStep, demoSite, fill, gateOf, open, passGate, signOn, turnTime } from './helpers';

/** Before the first step of the last unit that is not on grid: the day is safe, and its permit given. */
async function permitted(page: Page, request: APIRequestContext): Promise<void> {
  const site = await demoSite(request);
  await turnTime(page);
  await open(page, `/sites/${site}/energise`);
  await signOn(page);
  await passGate(page, 'Safe start of the day');
  await passGate(page, 'Permit to energise');
  await expect(page.getByText('not sent yet')).toBeHidden();
}

/** The safe start of a day signed on a phone that nobody answers. */
async function signedWithoutSignal(page: Page, request: APIRequestContext): Promise<string> {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/energise`);
  await signOn(page);
  await page.route('**/records*', (route) => route.abort());
  await passGate(page, 'Safe start of the day');
  await expect(page.getByText('1 entry is not sent yet')).toBeVisible();
  return site;
}

/** From now on what is recorded hangs on its way, until it is let go. */
async function hanging(page: Page): Promise<() => void> {
  let letGo = (): void => undefined;
  const slow = new Promise<void>((resolve) => (letGo = resolve));
  await page.route('**/records*', async (route) => {
    await slow;
    await route.continue();
  });
  return letGo;
}

const LINES = { 'L1–L2': '403', 'L2–L3': '403', 'L3–L1': '403' };

test('a phone without signal keeps its entries over a reload, counts them, and sends them when somebody answers', async ({
  page,
  request,
}) => {
  const site = await signedWithoutSignal(page, request);
  // From stage to stage the device goes on with what it knows.
  await page.getByRole('link', { name: 'Site log', exact: true }).click();
  // A click before it is there would leave the page where it was, and ask nobody.
  await expect(page).toHaveURL(/\/log$/);
  await page.getByRole('link', { name: 'Energise', exact: true }).click();
  await expect(page.getByText(/Nobody answers: this is the record as it was read at/)).toBeVisible();
  await expect(gateOf(page, /Safe start of the day.*passed/)).toBeVisible();
  // After a reload it knows what it has not sent, and says that it knows no more.
  await open(page, `/sites/${site}/energise`);
  await expect(page.getByText('1 entry is not sent yet')).toBeVisible();
  await expect(page.getByText('the record of this site was not read yet')).toBeVisible();
  await page.unroute('**/records*');
  await page.getByRole('button', { name: 'Send now' }).click();
  await expect(page.getByText('not sent yet')).toBeHidden();
  // It asks again by itself, and takes back what it said.
  await expect(page.getByText('Nobody answers')).toBeHidden();
  await expect(gateOf(page, /Safe start of the day.*passed/)).toBeVisible();
  await open(page, `/sites/${site}/energise`);
  await expect(gateOf(page, /Safe start of the day.*passed/)).toBeVisible();
});

test('who goes on without signal leaves nothing behind: it is sent from wherever the device answers again', async ({
  page,
  request,
}) => {
  const site = await signedWithoutSignal(page, request);
  await open(page, '/');
  await page.unroute('**/records*');
  await page.evaluate(() => dispatchEvent(new Event('online')));
  const signed = async () => {
    const { entries } = (await (await request.get(`/api/v1/sites/${site}/records`)).json()) as {
      entries: { kind: string; by: string; values: { gate?: string } }[];
    };
    return entries.at(-1);
  };
  await expect.poll(signed).toMatchObject({ kind: 'gate', by: 'Rosa Vahl', values: { gate: 'S-SAFE' } });
});

test('a danger stops the order where it stands, and a stale gate takes no signature', async ({ page, request }) => {
  await permitted(page, request);
  await confirmStep(page, 'remove locks, announce', 'all switches off');
  await confirmStep(page, 'close the AC breaker', 'display awake', (order) => fill(order, LINES), 10);
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
  await gateOf(page, /I-COVER.*stale/).click();
  await expect(page.getByText(/I-TORQ of INV-08 is not closed any more|not closed any more/).first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Sign: passed' })).toBeHidden();
});

test('with DC first a switch that is stuck is left alone, and the other way goes on', async ({ page, request }) => {
  await permitted(page, request);
  const order = page.getByRole('region', { name: /^Switching/ });
  await order.getByRole('button', { name: 'Switch off, DC first' }).click();
  await confirmStep(page, 'stop command', 'no power', (at) => fill(at, { 'AC power after the stop': '0' }));
  await expect(order.getByText('open DC switches one at a time, lock, tag', { exact: true })).toBeVisible();
  await fill(order, { 'Largest current by clamp after opening': '14', 'What was seen': 'second switch does not turn' });
  await order.getByRole('button', { name: 'Done: confirm this step' }).click();
  await expect(page.getByText(/14 A still flows: leave every plug and DC switch shut/).first()).toBeVisible();
  await order.getByRole('button', { name: 'Switch off', exact: true }).click();
  await confirmStep(
    page,
    'open AC breaker, lock, tag',
    'breaker open',
    (at) => fill(at, { 'Largest DC current on any input': '0.1' }),
    5,
  );
  await expect(order.getByText('open DC switches, lock, tag', { exact: true })).toBeVisible();
});

test('a joint that turns before its target was loose, and takes the torque of the unit with it', async ({
  page,
  request,
}) => {
  await permitted(page, request);
  await gateOf(page, /I-TORQ/).click();
  await page.getByText('Joints tried again at their torque').click();
  const again = page.locator('details').filter({ hasText: 'Joints tried again at their torque' });
  await fill(again, { 'unit L1': 'held', 'unit L2': 'turned', 'Torque printed': '25', 'Why it was tried': 'yearly' });
  await again.getByRole('button', { name: 'Record and sign' }).click();
  const said = page.getByRole('status').filter({ hasText: 'On record:' });
  await expect(said).toContainText('unit L2 turned before its target: found loose');
  await expect(gateOf(page, /I-TORQ.*stale/)).toBeVisible();
  await expect(gateOf(page, /I-PERMIT.*stale/)).toBeVisible();
});

test('nothing is switched on over hands in a unit, and no hands begin where something may be on', async ({
  page,
  request,
}) => {
  await permitted(page, request);
  const order = page.getByRole('region', { name: /^Switching/ });
  const done = order.getByRole('button', { name: 'Done: confirm this step' });
  await gateOf(page, /I-TORQ AC joints torqued/).click();
  await page.getByRole('button', { name: 'Measure it again' }).click();
  await page.getByRole('button', { name: 'Take it in hand' }).click();
  await expect(order.getByText('Rosa Vahl has hands on I-TORQ: nothing is switched on before it is')).toBeVisible();
  await expect(done).toBeHidden();
  await page.getByRole('button', { name: 'Put it down' }).click();
  await expect(done).toBeVisible();
  await confirmStep(page, 'remove locks, announce', 'all switches off');
  await confirmStep(page, 'close the AC breaker', 'display awake', (fields) => fill(fields, LINES), 10);
  await page.getByRole('button', { name: 'Take it in hand' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'INV-08 may be switched on' })).toContainText(
    'switch it off in its order and prove it dead before hands go in',
  );
  await expect(page.getByText(/^In hand of/)).toBeHidden();
});

test('what somebody left in hand who is gone is put down by a lead, who says how he knows', async ({
  page,
  browser,
  request,
}) => {
  await permitted(page, request);
  const order = page.getByRole('region', { name: /^Switching/ });
  await gateOf(page, /I-TORQ AC joints torqued/).click();
  await page.getByRole('button', { name: 'Measure it again' }).click();
  await page.getByRole('button', { name: 'Take it in hand' }).click();
  await expect(order.getByText('Rosa Vahl has hands on I-TORQ')).toBeVisible();
  const other = await (await browser.newContext()).newPage();
  await turnTime(other);
  await open(other, page.url());
  await signOn(other, 'Ole Brand', 'lead');
  await gateOf(other, /I-TORQ AC joints torqued/).click();
  await other.getByText('Put it down for Rosa Vahl').click();
  const down = other.getByRole('button', { name: 'Put it down' });
  const reason = other.getByLabel(/^Nobody has hands in there/);
  await reason.fill('looked');
  await expect(down).toBeDisabled();
  await reason.fill('bay looked into, Rosa told by phone');
  await down.click();
  await expect(other.getByText('In hand of Rosa Vahl')).toBeHidden();
  await other.context().close();
  await expect(order.getByRole('button', { name: 'Done: confirm this step' })).toBeVisible();
});

/** Another phone at the same unit, on which a helper has reported something. */
async function reportedBy(browser: Browser, page: Page, what: string, seen: string): Promise<Page> {
  const other = await (await browser.newContext()).newPage();
  await turnTime(other);
  // Its clock is uncertain by a minute: nobody ever told it the time.
  await other.route('**/api/v1/clock', (route) => route.abort());
  await open(other, page.url());
  await signOn(other, 'Ole Brand', 'helper');
  await other.getByText('Report a danger, or something that was touched').click();
  await other.getByLabel('What happened').selectOption({ label: what });
  await other.getByLabel('What was seen').last().fill(seen);
  await other.getByRole('button', { name: 'Report it' }).click();
  return other;
}

test('a danger that one phone reports stops the work on another, without anybody asking, wherever its page stands', async ({
  page,
  browser,
  request,
}) => {
  await permitted(page, request);
  const order = page.getByRole('region', { name: /^Switching/ });
  const done = order.getByRole('button', { name: 'Done: confirm this step' });
  await order.getByLabel('What was seen').fill('all switches off');
  await expect(done).toBeEnabled();
  const other = await reportedBy(browser, page, 'AC cable damaged, INV-08', 'digger through the cable');
  await other.context().close();

  const alarm = page.getByRole('alert').filter({ hasText: 'Danger: AC cable damaged, INV-08' });
  await expect(alarm).toContainText('“digger through the cable”, reported by Ole Brand');
  await expect(alarm).toBeInViewport();
  await expect(done).toBeHidden();
  await alarm.getByRole('button', { name: 'Seen' }).click();
  await expect(alarm).toBeHidden();
  await expect(done).toBeHidden();
});

test('rain that a helper reports holds up the switching on of another, until an electrician says that it is dry', async ({
  page,
  browser,
  request,
}) => {
  await permitted(page, request);
  const order = page.getByRole('region', { name: /^Switching/ });
  const done = order.getByRole('button', { name: 'Done: confirm this step' });
  await order.getByLabel('What was seen').fill('all switches off');
  await expect(done).toBeEnabled();
  const other = await reportedBy(browser, page, 'rain or wet fog, site', 'a shower from the west');
  // A helper may say that it rains, and not that it is over.
  const dryAgain = async (of: Page) => {
    const weather = of.getByRole('status', { name: 'Weather' });
    await expect(weather).toContainText('Wet on site');
    await weather.getByText('It is dry again').click();
    await weather.getByLabel('What an electrician looked at').fill('sky clear, hoods and plugs wiped dry');
    await weather.getByRole('button', { name: 'Record: dry again' }).click();
  };
  await dryAgain(other);
  await expect(other.getByText(/That it is dry is said by whoever may sign the safe start/)).toBeVisible();
  await other.context().close();

  const alarm = page.getByRole('alert').filter({ hasText: 'Danger: rain or wet fog, site' });
  await expect(alarm).toContainText('No DC or live work, and covers shut');
  await alarm.getByRole('button', { name: 'Seen' }).click();
  await expect(order.getByText(/^Not yet: It is wet on site \(Ole Brand: a shower from the west\)/)).toBeVisible();
  await expect(done).toBeHidden();
  await dryAgain(page);
  await expect(page.getByRole('status', { name: 'Weather' })).toBeHidden();
  await order.getByLabel('What was seen').fill('all switches off');
  await expect(done).toBeEnabled();
});

test('an earth fault is found at the string, a bad joint at the unit, and each takes its proof with it', async ({
  page,
  request,
}) => {
  await permitted(page, request);
  const open = page.getByRole('region', { name: 'Open now for the electrician' });
  await expect(open.getByRole('button', { name: /^I-TORQ/ })).toBeHidden();
  await gateOf(page, /I-TORQ/).click();
  await page.getByText('Micro-ohms of the power joints').click();
  const like = { 'unit L1': '18', 'unit L2': '60', 'unit L3': '19.5', 'Test current': '100' };
  await fill(page.getByRole('region', { name: /^AC joints torqued/ }), like);
  await page.getByRole('button', { name: 'Record and sign' }).first().click();
  const said = page.getByRole('status').filter({ hasText: 'On record:' });
  await expect(said).toContainText('unit L2: 60.0 µΩ of 18.0 µΩ at the lowest like joint, 3.33 times');
  await expect(open.getByRole('button', { name: /^I-TORQ AC joints torqued INV-08/ })).toBeVisible();

  await page.getByRole('link', { name: 'Site log', exact: true }).click();
  await page.getByText('Where a string touches earth', { exact: true }).click();
  const poles = { '+ to earth': '642', '− to earth': '214', '+ to −': '870', 'Input resistance': '10' };
  for (const [label, value] of Object.entries(poles)) await page.getByLabel(label).fill(value);
  await page.getByRole('button', { name: 'Record: where a string touches earth' }).click();
  await expect(said).toContainText(/look between module \d+ and \d+/);
  await expect(page.getByText('D-IR: Where a string touches earth: failed')).toBeVisible();
});

test('what others record meanwhile moves nothing under the hands of whoever types', async ({
  page,
  browser,
  request,
}) => {
  const site = await demoSite(request, 'tarnholm-ice-rink', { records: [] });
  await open(page, `/sites/${site}/energise`);
  await signOn(page);
  await passGate(page, 'Safe start of the day');
  await page.getByRole('link', { name: 'Site log', exact: true }).click();
  const heading = (of: Page) => of.getByRole('region', { name: /modules$/ }).getByRole('heading');
  const strings = page.getByRole('group', { name: 'String' }).getByRole('button');
  for (const at of [0, 1]) {
    await strings.nth(at).click();
    await page.getByRole('button', { name: /^Tag at both ends/ }).click();
    await expect(page.getByRole('button', { name: /^Tag at both ends/ })).toBeHidden();
  }
  await expect(page.getByText('not sent yet')).toBeHidden();
  await open(page, `/sites/${site}/log`);
  const stood = await heading(page).innerText();
  await fill(page, { 'Open-circuit voltage': '811' });

  // Another crew opens at the same string, and is done with it first.
  const other = await (await browser.newContext()).newPage();
  await open(other, `/sites/${site}/log`);
  await signOn(other, 'Ole Brand');
  await expect(heading(other)).toHaveText(stood);
  await fill(other, { 'Cell temperature': '40', 'Irradiance in the plane': '700' });
  const expected = /Expected ([\d.]+) V/.exec(await other.getByText(/^Expected [\d.]+ V/).innerText())?.[1];
  await fill(other, { 'Open-circuit voltage': expected ?? '' });
  await other.getByRole('button', { name: 'Record the reading' }).click();
  await expect(heading(other)).not.toHaveText(stood);

  await expect(page.getByText('Ole Brand').first()).toBeVisible();
  await expect(heading(page)).toHaveText(stood);
  await expect(page.getByLabel(/^Open-circuit voltage/)).toHaveValue('811');
  await other.context().close();
});

test('a gate stays under the hands of whoever measures it, and what is typed with it, though a danger locks it', async ({
  page,
  browser,
  request,
}) => {
  const site = await demoSite(request, 'tarnholm-ice-rink', { records: [] });
  await open(page, `/sites/${site}/energise`);
  await signOn(page);
  await passGate(page, 'Documents on site');
  await passGate(page, 'Safe start of the day');
  await expect(page.getByText('not sent yet')).toBeHidden();
  // Nobody chose it: it is the next one that can be worked on.
  const card = page.getByRole('region', { name: /^Site earth/ });
  const field = card.getByRole('spinbutton').first();
  await field.fill('12');

  const other = await (await browser.newContext()).newPage();
  await open(other, `/sites/${site}/energise`);
  await signOn(other, 'Ole Brand', 'helper');
  await other.getByText('Report a danger, or something that was touched').click();
  await other.getByLabel('What happened').selectOption({ label: 'site unsafe, site' });
  await other.getByLabel('What was seen').last().fill('crane over the roof');
  await other.getByRole('button', { name: 'Report it' }).click();

  await expect(page.getByRole('alert').filter({ hasText: 'Danger: site unsafe, site' })).toBeVisible();
  await expect(gateOf(page, /Site earth.*locked/)).toBeVisible();
  await expect(card).toContainText('What it waits for comes first');
  await expect(field).toHaveValue('12');
  await other.context().close();
});

test('what is typed for the next step stays while the last one is still on its way', async ({ page, request }) => {
  await permitted(page, request);
  const letGo = await hanging(page);
  const order = page.getByRole('region', { name: /^Switching/ });
  await order.getByLabel('What was seen').fill('all switches off');
  await order.getByRole('button', { name: 'Done: confirm this step' }).click();
  await expect(order.getByText('close the AC breaker', { exact: true })).toBeVisible();
  await fill(order, { 'L1–L2': '403', 'What was seen': 'display' });
  await expect(page.getByText('1 entry is not sent yet')).toBeVisible();
  letGo();
  await expect(page.getByText('not sent yet')).toBeHidden();
  await expect(order.getByLabel(/^L1–L2/)).toHaveValue('403');
  await expect(order.getByLabel('What was seen')).toHaveValue('display');
});

test('over a line that hangs the order of switching goes on: every step counts at once, and all are sent', async ({
  page,
  request,
}) => {
  await permitted(page, request);
  const letGo = await hanging(page);
  await confirmStep(page, 'remove locks, announce', 'all switches off');
  await confirmStep(page, 'close the AC breaker', 'display awake', (order) => fill(order, LINES), 10);
  await expect(page.getByText('2 entries are not sent yet')).toBeVisible();
  letGo();
  await expect(page.getByText('not sent yet')).toBeHidden();
  await expect(page.getByText('Not taken')).toBeHidden();
});

test('what the server does not take is said with its reason, over a reload too, until somebody has seen it', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/energise`);
  await signOn(page);
  const refusal = { type: 'about:blank', title: 'Refused', status: 422, detail: 'Somebody else ended the day.' };
  await page.route('**/records', (route) =>
    route.request().method() === 'POST' ? route.fulfill({ status: 422, json: refusal }) : route.continue(),
  );
  const gate = gateOf(page, /Safe start of the day/);
  await gate.click();
  await page.getByLabel('What was seen or measured').fill('points named');
  await page.getByRole('button', { name: 'Sign: passed' }).click();
  const said = page.getByRole('alert').filter({ hasText: /^Not taken, site at/ });
  await expect(said).toContainText('Somebody else ended the day.');
  await expect(page.getByText('On record.')).toBeHidden();
  await expect(gate).not.toHaveAccessibleName(/passed/);
  await open(page, `/sites/${site}/energise`);
  await expect(said).toContainText('points named');
  await said.getByRole('button', { name: 'Seen' }).click();
  await expect(said).toBeHidden();
  await open(page, `/sites/${site}/energise`);
  await expect(gate).toBeVisible();
  await expect(said).toBeHidden();
});

test('a reading that is recorded, and a light taken over, leave what is typed beside them', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/log`);
  await signOn(page);
  const forms = page.getByRole('region', { name: /^INV-01 · tracker 1 · input 1/ });
  await forms.getByText('Insulation of a string', { exact: true }).click();
  await fill(forms, { 'Test voltage': '1500', Resistance: '38' });
  const reading = { 'Open-circuit voltage': '-812', 'Cell temperature': '40', 'Irradiance in the plane': '700' };
  await fill(forms, reading);
  await forms.getByRole('button', { name: 'Record the reading' }).click();
  await expect(forms.getByLabel(/^Open-circuit voltage/)).toHaveValue('');
  await expect(forms.getByLabel(/^Resistance/)).toHaveValue('38');
  // The light of that reading stands for the next one: taken over, and given back, beside the voltage that is typed already.
  await fill(forms, { 'Open-circuit voltage': '811' });
  await forms.getByRole('checkbox', { name: /^The light of/ }).check();
  await expect(forms.getByLabel(/^Irradiance in the plane/)).toHaveValue('700');
  await expect(forms.getByLabel(/^Open-circuit voltage/)).toHaveValue('811');
  await forms.getByRole('checkbox', { name: /^The light of/ }).uncheck();
  await expect(forms.getByLabel(/^Irradiance in the plane/)).toHaveValue('');
  await expect(forms.getByLabel(/^Open-circuit voltage/)).toHaveValue('811');
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

test('planning and the yard say since when nobody has told them what must be switched off', async ({
  page,
  request,
}) => {
  const site = await demoSite(request, 'tarnholm-ice-rink', { records: [] });
  await page.clock.install();
  for (const at of [`/sites/${site}/strings`, '/']) {
    await open(page, at);
    await page.route('**/switch-off', (route) => route.abort());
    await page.clock.runFor(45_000);
    const silence = page.getByText(/^Nobody answers: which units have to be switched off is said as it was at/);
    await expect(silence).toBeVisible();
    await page.unroute('**/switch-off');
    await page.clock.runFor(16_000);
    await expect(silence).toBeHidden();
  }
});

test('a reading is held against what the chosen instrument may err by, and another is chosen where two fit', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/energise`);
  await signOn(page);
  await page.getByRole('button', { name: 'Signed on: Rosa Vahl' }).click();
  await page.getByText('Another instrument').click();
  const sheet = page.locator('details').filter({ hasText: 'Another instrument' });
  await fill(sheet, { Instrument: 'earth tester', 'Make of it': 'Continuity tester', 'Its serial': 'CON-77' });
  await sheet.getByLabel('Calibrated until').fill('2099-12-31');
  const range = { 'up to': '200', '± of reading': '45', '± digits': '2', 'one digit is': '0.001' };
  await fill(sheet.getByRole('group', { name: 'resistance, as its sheet says' }), range);
  await sheet.getByRole('button', { name: 'Add the instrument' }).click();
  await page.getByRole('button', { name: 'Keep on this device' }).click();
  await passGate(page, 'Safe start of the day');
  await gateOf(page, /S-EARTH/).click();
  const card = page.getByRole('region', { name: /^Site earth/ });
  await card.getByText('Measure it again').click();
  await expect(card.getByLabel('Measured with').locator('option:checked')).toHaveText('earth tester CON-77');
  await card.getByLabel('Measured with').selectOption({ label: 'insulation tester INS-2209' });
  await card.getByLabel('Measured with').selectOption({ label: 'earth tester CON-77' });
  // 20 m of 16 mm² copper: some 0.08 Ω are held (1.25 · 0.0216 Ω + 0.05 Ω), and 45 % of 0.07 Ω reach past it.
  for (const of of ['first', 'second'])
    await fill(card, {
      [`Length of the ${of}`]: '20',
      [`Section of the ${of}`]: '16',
      [`Metal of the ${of}`]: 'Cu',
    });
  await fill(card, { 'First earth': '0.07', 'Second earth': '0.05', 'Test leads alone': '0', 'Test current': '10' });
  await fill(card, { 'Temperature of the conductors': '20', 'Joints in each': '2' });
  await card.getByRole('button', { name: 'Record and sign' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'On record:' })).toContainText(
    'inside what the instrument may err by',
  );
});
