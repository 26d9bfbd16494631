import type { Locator } from '@playwright/test';
import { expect, test } from './test';
import { readFile } from 'node:fs/promises';
import { demoSite, energise, fill, gateOf, open, passGate, saved, signOn, turnTime } from './helpers';

test('a designer moves strings by pointer and by keyboard, sees what changed, and undoes it', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/strings`);
  const peg = (name: string) => page.getByRole('button', { name: new RegExp(`^${name}:`) });

  // Pointer: a tag of the west roof onto a tracker of the south roof is a mix, and says so at once.
  const west = peg('INV-01 tracker 10 input 1');
  await expect(west).toHaveAccessibleName(/plane C/);
  await west.dragTo(peg('INV-01 tracker 1 input 2'));
  await expect(page.getByTestId('changes')).toContainText('One type, tilt, azimuth and length');
  await expect(page.getByRole('list', { name: 'Not legal' })).toContainText('V03');
  await expect(
    page.getByRole('navigation', { name: /line from module/ }).getByRole('link', { name: /Tracker stop/ }),
  ).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.getByRole('list', { name: 'Not legal' })).toContainText('V03');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('list', { name: 'Not legal' })).toBeHidden();

  // Keyboard: walk to a tag, pick it up, walk on, hang it.
  await peg('INV-01 tracker 1 input 1').focus();
  await page.keyboard.press('ArrowDown');
  await expect(peg('INV-01 tracker 2 input 1')).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByText(/In hand:/)).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect(peg('INV-01 tracker 2 input 1')).toHaveAccessibleName(/empty/);
  await expect(peg('INV-01 tracker 2 input 2')).toHaveAccessibleName(/17 modules/);
  await peg('INV-01 tracker 2 input 2').focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(page.getByText(/In hand:/)).toBeHidden();
  await saved(page);
});

test('an AC run shows its working, tightens with length, and the bay refuses a palm that is too wide', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/ac`);
  const run = page.getByRole('region', { name: 'Run of INV-01' });
  await run.getByLabel('One-way length').fill('60');
  // What is typed is not sized away: it is saved first.
  await expect(run.getByText('Save the run first')).toBeVisible();
  for (const name of ['Size this run', 'Size all runs'])
    await expect(page.getByRole('button', { name })).toBeDisabled();
  await run.getByRole('button', { name: 'Save the run' }).click();
  await expect(page.getByRole('button', { name: 'Size this run' })).toBeEnabled();
  const ledger = page.getByRole('region', { name: 'Margins: INV-01' });
  await expect(ledger.getByText('Voltage rise from unit to board')).toBeVisible();
  await ledger.getByText('Voltage rise from unit to board').click();
  await expect(ledger.getByText(/ΔU = √3·I·R·cosφ/)).toBeVisible();
  await expect(ledger.getByText(/common practice|1 % wanted/).first()).toBeVisible();
  await run.getByLabel('Line conductor section').fill('150');
  await run.getByRole('button', { name: 'Save the run' }).click();
  await expect(page.getByRole('row', { name: /INV-01/ })).toContainText('stop');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('row', { name: /INV-01/ })).not.toContainText('stop');
});

test('the chain is reordered by arrow and by grip, renumbered, and says when a terminator sits inside', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/links`);
  const items = page.getByRole('region', { name: 'RS-485 chain' }).getByRole('listitem');
  await page.getByRole('button', { name: 'Move INV-02 up' }).focus();
  await page.keyboard.press('Enter');
  await expect(items.nth(1)).toContainText('INV-02');
  await expect(page.getByRole('button', { name: 'Move INV-02 up' })).toBeFocused();
  await saved(page);

  // The grip by pointer.
  const grip = async (label: string) => (await page.getByLabel(`Drag ${label}`).boundingBox())!;
  const [from, to] = [await grip('INV-05'), await grip('INV-07')];
  await page.mouse.move(from.x + 15, from.y + 15);
  await page.mouse.down();
  await page.mouse.move(from.x + 15, from.y + 40, { steps: 4 });
  await page.mouse.move(to.x + 15, to.y + 25, { steps: 12 });
  await page.waitForTimeout(400);
  await page.mouse.up();
  await expect(items.nth(7)).toContainText('INV-05');
  await saved(page);

  await items
    .nth(3)
    .getByRole('button', { name: /120 Ω off/ })
    .click();
  await expect(page.getByText(/must be off/)).toBeHidden();
  await page.getByText('Terminators at both ends and nowhere else').click();
  await expect(page.getByText(/sits inside the chain and must be off/)).toBeVisible();
  await page.getByRole('button', { name: /Number along the chain/ }).click();
  await expect(page.getByLabel('Address of INV-02')).toHaveValue('1');
});

test('an electrician finds a missing module, corrects an entry, and the old one stays on record', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/log`);
  await signOn(page);
  await fill(page, { 'Open-circuit voltage': '-812', 'Cell temperature': '40', 'Irradiance in the plane': '700' });
  await page.getByRole('button', { name: 'Record the reading' }).click();
  await expect(page.getByText('It stops here: find out why before you go on.')).toBeVisible();
  await page.getByText('Polarity', { exact: true }).first().click();
  await expect(page.getByText(/Reversed: leave it unplugged/).first()).toBeVisible();
  const newest = page.getByRole('region', { name: 'Entries of this string' }).getByRole('listitem').first();
  await newest.getByRole('button', { name: 'correct' }).click();
  await page.getByLabel('Why').fill('leads were swapped at the meter');
  await fill(page, { 'Open-circuit voltage': '780', 'Cell temperature': '40', 'Irradiance in the plane': '700' });
  await page.getByRole('button', { name: 'Record the correction' }).click();
  const ledger = page.getByRole('region', { name: 'Margins: this string' });
  await ledger.getByRole('button', { name: /^stop/ }).click();
  await ledger.locator('summary').first().click();
  await expect(ledger.getByText(/one module fewer than drawn|one module missing/).first()).toBeVisible();
  const old = page
    .getByRole('region', { name: 'Entries of this string' })
    .getByRole('listitem')
    .filter({ hasText: '−812.0 V' });
  await expect(old).toHaveCSS('text-decoration-line', 'line-through');
});

test('the last unit is switched on in order, with its waits, and signed; a joint opened says: switch off', async ({
  page,
  browser,
  request,
}) => {
  const file = JSON.parse(await readFile('demo/tarnholm-ice-rink.project.json', 'utf8')) as ProjectOfDemo;
  const name = 'Rink that two more look at';
  const { design } = file;
  const site = await demoSite(request, undefined, { design: { ...design, survey: { ...design.survey, name } } });
  const landing = file.records.find((r) => r.kind === 'landing' && r.subject.id === 'inv-8');
  await turnTime(page);
  await open(page, `/sites/${site}/energise`);
  await signOn(page);
  const order = page.getByRole('region', { name: /^Switching/ });
  await expect(order.getByText(/Not yet: gate I-PERMIT of INV-08/)).toBeVisible();
  await gateOf(page, /I-PERMIT/).click();
  await expect(page.getByRole('button', { name: 'Sign: passed' })).toBeHidden();
  await passGate(page, 'Safe start of the day');
  await passGate(page, 'Permit to energise');
  await gateOf(page, /Set up/).click();
  // Every input shows its own voltage, as it read when it was landed.
  const inputs = async (panel: Locator) => {
    for (const [i, input] of (landing?.values.inputs ?? []).entries())
      await panel
        .getByLabel(/^Input \d/)
        .nth(i)
        .fill(String(input.voltageV));
  };
  await energise(page, inputs, '60', '700');
  await page.getByRole('button', { name: 'Sign: INV-08 switched on' }).click();
  await expect(page.getByText(/Signed by Rosa Vahl, electrician/)).toBeVisible();

  // Somebody plans meanwhile, somebody else looks over the yard: both are told without asking.
  const elsewhere = await browser.newContext();
  const [planner, yard] = [await elsewhere.newPage(), await elsewhere.newPage()];
  await open(planner, `/sites/${site}/strings`);
  await open(yard, '/');
  await yard.getByLabel('Find a site').fill(name);
  await expect(planner.getByText('Switch off until proved', { exact: true })).toBeHidden();

  // Anybody may report a danger: every proof that rests on the joint is stale, and the unit runs without them.
  await page.getByText('Report a danger').click();
  await page.getByLabel('What happened').selectOption({ label: 'joint opened, INV-08' });
  const danger = page.locator('details').filter({ hasText: 'Report a danger' });
  await danger.getByLabel('What was seen').fill('L2 was found loose');
  await page.getByRole('button', { name: 'Report it' }).click();
  for (const gate of ['I-TORQ', 'I-ACV', 'I-PERMIT'])
    await expect(page.getByRole('button', { name: new RegExp(`${gate}.*stale`) })).toBeVisible();
  await expect(page.getByText('Switch off until proved', { exact: true })).toBeVisible();
  await expect(planner.getByText('Switch off until proved', { exact: true })).toBeVisible();
  await expect(yard.getByRole('link', { name: 'Switch off until proved: 1 unit' })).toBeVisible({ timeout: 30_000 });
  await elsewhere.close();
  for (const stage of ['strings', 'handover']) {
    await open(page, `/sites/${site}/${stage}`);
    await expect(page.getByText('Switch off until proved', { exact: true })).toBeVisible();
  }
  await open(page, '/');
  await expect(page.getByRole('link', { name: 'Switch off until proved: 1 unit' }).first()).toBeVisible();
});

interface ProjectOfDemo {
  readonly design: { readonly survey: object };
  readonly records: readonly {
    readonly kind: string;
    readonly subject: { readonly id: string };
    readonly values: { readonly inputs?: readonly { readonly voltageV: number }[] };
  }[];
}

test('the office prints the hand-over and takes the site along as a file', async ({ page, request }) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/handover`);
  await expect(page.getByText('103 of 103')).toBeVisible();
  const pdf = await request.get(`/sites/${site}/handover/pack.pdf`);
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: /Project file/ }).click(),
  ]);
  const file = await download.path();
  await open(page, '/');
  await page.getByLabel('Import a project file').setInputFiles(file);
  await expect(page).toHaveURL(/survey/);
  await expect(page.getByRole('heading', { name: 'Tarnholm ice rink', level: 1 })).toBeVisible();
});
