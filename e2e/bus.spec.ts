import type { APIRequestContext, Locator } from '@playwright/test';
import { expect, test } from './test';
import { demoSite, fill, gateOf, open, saved, signOn } from './helpers';

/** Scans until every unit answers in its time: where the machine sleeps in the middle of a scan, a unit is rightly late to it, and it is made again. */
async function scanHealthy(scan: Locator): Promise<void> {
  await expect(async () => {
    await scan.getByRole('button', { name: 'Scan the bus' }).click();
    await expect(scan.getByRole('status')).toHaveCount(0, { timeout: 30_000 });
    await expect(scan).toContainText('healthy', { timeout: 2000 });
  }).toPass({ timeout: 90_000 });
}

test('the pair is planned, broken on the scope, and the meter sheet says what a reading means', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/links/pair`);
  const pair = page.getByRole('region', { name: 'The pair' });
  const ledger = page
    .getByRole('complementary')
    .or(page.getByRole('region', { name: 'Margins: pair' }))
    .first();
  await pair.getByLabel('Section of a bus conductor').fill('');
  await pair.getByRole('button', { name: 'Save the pair' }).click();
  await saved(page);
  await expect(page.getByRole('region', { name: 'What the meter must read' })).toContainText(
    'Missing: section of the bus conductors',
  );
  await expect(ledger).toContainText('unknown');
  await pair.getByLabel('Section of a bus conductor').fill('70');
  await pair.getByRole('button', { name: 'Save the pair' }).click();
  await expect(pair).toContainText('Section of a bus conductor: 0.05 to 6 mm².');
  await pair.getByLabel('Section of a bus conductor').fill('0.5');
  await pair.getByRole('button', { name: 'Save the pair' }).click();
  await saved(page);
  const sheet = page.getByRole('region', { name: 'What the meter must read' });
  await expect(sheet.getByRole('row', { name: /INV-04/ })).toContainText('62.0 Ω');
  const read = sheet.getByLabel('Read at the first device');
  await read.fill('121');
  await expect(sheet).toContainText('The near terminator alone');
  await read.fill('3');
  await expect(sheet).toContainText(/A short about \d+ m along the cable/);

  await page.getByRole('link', { name: 'Scope' }).click();
  const scope = page.getByRole('region', { name: 'What each device hears' });
  await expect(scope).toContainText('wired as the standards ask');
  await expect(scope.getByRole('row', { name: /INV-08/ })).toContainText('pass');
  await scope.getByLabel('Wired').selectOption('far terminator missing');
  await expect(scope).toContainText('one terminator in place of two');
  await expect(scope).toContainText('Works at 9600 bit/s on paper, wiring not to rule');
  await scope.getByLabel('Wired').selectOption('swapped pair');
  await scope.getByLabel('Device', { exact: true }).selectOption({ label: 'INV-03' });
  await expect(scope.getByRole('row', { name: /INV-03/ })).toContainText('inverted');
  // A second fault beside it, and mended again.
  await scope.getByRole('button', { name: 'One more fault' }).click();
  await scope.getByLabel('And', { exact: true }).selectOption('no terminators');
  await expect(scope).toContainText('0 terminators in place of two, D1 and D0 swapped');
  await scope.getByRole('button', { name: 'Mend: no terminators' }).click();
  await expect(scope).not.toContainText('0 terminators');
  await expect(scope.getByRole('row', { name: /INV-04/ })).toContainText('pass');

  await page.getByRole('link', { name: 'Round' }).click();
  await expect(page.getByRole('region', { name: 'The round at every bit rate' })).toContainText('1.89 s of 60.00 s');
  const split = page.getByRole('region', { name: 'Over the buses it needs' });
  await split.getByRole('button', { name: 'Split the devices over buses' }).click();
  await expect(split).toContainText('1 bus of at most', { timeout: 15_000 });
  const poll = page.getByRole('region', { name: 'How the logger goes round' });
  await poll.getByLabel('Round that is wanted').fill('1.2');
  await poll.getByRole('button', { name: 'Save the round' }).click();
  await saved(page);
  await split.getByRole('button', { name: 'Split the devices over buses' }).click();
  await expect(split).toContainText('so many by poll', { timeout: 15_000 });
  await expect(split.getByRole('listitem')).toHaveCount(3);
});

test('a chain that is too slow goes over three buses, each landed, numbered and scanned by itself', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/links/timing`);
  const poll = page.getByRole('region', { name: 'How the logger goes round' });
  await poll.getByLabel('Round that is wanted').fill('1.2');
  await poll.getByRole('button', { name: 'Save the round' }).click();
  await saved(page);
  const margins = page.getByRole('complementary');
  await expect(margins).toContainText('57.8 %');
  const split = page.getByRole('region', { name: 'Over the buses it needs' });
  await split.getByRole('button', { name: 'Split the devices over buses' }).click();
  await split.getByRole('button', { name: 'Put the devices on these buses' }).click({ timeout: 15_000 });
  await saved(page);
  await expect(margins).not.toContainText('57.8 %');
  await expect(margins).toContainText('3 places, worst whole chain of bus');

  await page.getByRole('navigation', { name: 'Parts of links' }).getByRole('link', { name: 'Chain' }).click();
  const buses = page.getByRole('navigation', { name: 'Buses' });
  await buses.getByRole('link', { name: 'Bus 2' }).click();
  const chain = page.getByRole('region', { name: 'RS-485 chain, bus 2' });
  await expect(chain.getByRole('listitem').first()).toContainText('port 2');
  await chain.getByRole('button', { name: 'Number along the chain' }).click();
  await saved(page);
  await expect(chain.getByLabel(/^Address of INV/).first()).toHaveValue('1');
  // One device more comes over, and goes back by undo; another is dropped there. Each takes an address that is free.
  const count = await chain.getByRole('listitem').count();
  await buses.getByRole('link', { name: 'Bus 1' }).click();
  const first = page.getByRole('region', { name: 'RS-485 chain, bus 1' });
  await first
    .getByLabel(/^Bus of INV/)
    .first()
    .selectOption('Bus 2');
  await saved(page);
  await buses.getByRole('link', { name: 'Bus 2' }).click();
  await expect(chain.getByRole('listitem')).toHaveCount(count + 1);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(chain.getByRole('listitem')).toHaveCount(count);
  await buses.getByRole('link', { name: 'Bus 1' }).click();
  const left = await first.getByRole('listitem').count();
  const grip = first.getByLabel(/^Drag INV/).first();
  const there = first.locator('[data-bus="2"]');
  await there.scrollIntoViewIfNeeded();
  const [from, to] = [await grip.boundingBox(), await there.boundingBox()];
  if (!from || !to) throw new Error('nothing to drag');
  await page.mouse.move(from.x + 15, from.y + 15);
  await page.mouse.down();
  await page.mouse.move(from.x + 15, from.y + 40, { steps: 4 });
  await page.mouse.move(to.x + 40, to.y + 20, { steps: 12 });
  await expect(there).toContainText('INV');
  await page.mouse.up();
  await saved(page);
  await expect(first.getByRole('listitem')).toHaveCount(left - 1);
  await buses.getByRole('link', { name: 'Bus 2' }).click();
  await expect(chain.getByRole('listitem')).toHaveCount(count + 1);
  await expect(chain.getByLabel(/^Address of INV/).last()).not.toHaveValue('1');
  await expect(chain.getByRole('listitem').last().getByRole('button', { name: '⊣ 120 Ω on' })).toBeVisible();

  await page.getByRole('navigation', { name: 'Parts of links' }).getByRole('link', { name: 'Sheet' }).click();
  for (const bus of [1, 2, 3])
    await expect(page.getByRole('region', { name: new RegExp(`^RS-485 bus ${bus} of`) })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Labels of RS-485 bus 3' })).toContainText('RS-485 bus 3');
  expect((await (await request.get(`/sites/${site}/links/sheet.pdf`)).body()).subarray(0, 5).toString()).toBe('%PDF-');

  // A fault on the third bus is found there, and nowhere else.
  await page.getByRole('navigation', { name: 'Parts of links' }).getByRole('link', { name: 'Scan' }).click();
  const fleet = page.getByRole('region', { name: 'Simulated fleet' });
  const scan = page.getByRole('region', { name: 'Scan: plan against found' });
  await fleet.getByRole('button', { name: 'Set it up like the plan' }).click();
  await buses.getByRole('link', { name: 'Bus 3' }).click();
  await fleet.getByLabel('Fault').selectOption('dead unit');
  await fleet.getByLabel('Unit', { exact: true }).selectOption('1');
  await fleet.getByRole('button', { name: 'Put it on' }).click();
  await expect(fleet.getByRole('listitem').filter({ hasText: 'dead unit' })).toBeVisible();
  await scan.getByRole('button', { name: 'Scan the bus' }).click();
  await expect(scan.getByRole('row', { name: /^1 / })).toContainText('missing', { timeout: 30_000 });
  await buses.getByRole('link', { name: 'Bus 2' }).click();
  await scanHealthy(scan);
});

test('a bus is scanned, the duplicate found, told apart, mended, and the scan is clean', async ({ page, request }) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/links/field`);
  const fleet = page.getByRole('region', { name: 'Simulated fleet' });
  const scan = page.getByRole('region', { name: 'Scan: plan against found' });
  const again = async () => {
    await scan.getByRole('button', { name: 'Scan the bus' }).click();
    await expect(scan.getByRole('status')).toHaveCount(0, { timeout: 30_000 });
  };
  const row = (address: number) => scan.getByRole('row', { name: new RegExp(`^${address} `) });
  const put = async (kind: string, unit: number) => {
    await fleet.getByLabel('Fault').selectOption(kind);
    await fleet.getByLabel('Unit', { exact: true }).selectOption(String(unit));
    await fleet.getByRole('button', { name: 'Put it on' }).click();
    await expect(fleet.getByRole('listitem').filter({ hasText: kind })).toBeVisible();
  };
  await expect(fleet).toContainText('Stand-in, no real device');
  await fleet.getByRole('button', { name: 'Set it up like the plan' }).click();
  await scanHealthy(scan);
  await expect(scan).toContainText('Stand-in, no real device');
  await scan.getByRole('button', { name: 'Keep the serials in the plan' }).click();
  await saved(page);
  await again();
  await expect(row(3)).toContainText('right');

  await put('duplicate address', 2);
  await again();
  await expect(scan).toContainText('duplicate INV-02');
  await expect(row(2)).toContainText('perhaps a duplicate');
  await expect(row(3)).toContainText('missing');
  // One of the suspects off: the other comes clean, and says where it belongs.
  await put('dead unit', 2);
  await again();
  await expect(row(2)).toContainText('swapped, planned at 3');
  await row(2).getByRole('button', { name: 'move to 3' }).click();
  await expect(scan).toContainText('read back at 3');
  await fleet.getByRole('button', { name: 'Take off: dead unit at 2' }).click();
  await expect(fleet.getByRole('listitem').filter({ hasText: 'dead unit' })).toHaveCount(0);
  await scanHealthy(scan);
  for (const address of [1, 2, 3, 100]) await expect(row(address)).toContainText('right');

  // A cross in the chain: the tail is dead, and the plug to pull is named until one place is left.
  await put('crossed hop', 4);
  await again();
  await expect(scan).toContainText('break or cross after INV-04');
  const halves = scan.getByRole('group', { name: 'By halves' });
  await expect(halves).toContainText('Pull the plug behind INV-05');
  await halves.getByRole('button', { name: 'They do not' }).click();
  await halves.getByRole('button', { name: 'They do', exact: true }).click();
  await halves.getByRole('button', { name: 'They do', exact: true }).click();
  await halves.getByRole('button', { name: 'They do', exact: true }).click();
  await expect(halves).toContainText('The fault is at INV-05, or in the cable before it');
  await fleet.getByRole('button', { name: 'Take off: crossed hop at 4' }).click();
  await expect(fleet.getByRole('listitem').filter({ hasText: 'crossed hop' })).toHaveCount(0);
  await scanHealthy(scan);

  // The line away in the middle of it: said, and taken up again.
  await fleet.getByRole('button', { name: 'Gateway away for 10 s' }).click();
  await scan.getByRole('button', { name: 'Scan the bus' }).click();
  await expect(scan.getByRole('alert')).toContainText(/Nobody answers on port \d+|is gone/);
  await expect(async () => {
    await again();
    await expect(scan.getByRole('alert')).toHaveCount(0, { timeout: 500 });
  }).toPass({ timeout: 60_000 });
  await expect(scan).toContainText('healthy');
});

test('a repeater cuts a bus in two: each pair has its terminators, its meter sheet and its scope', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/links`);
  const chain = page.getByRole('region', { name: /^RS-485 chain/ });
  await chain.getByRole('button', { name: 'Add a repeater' }).click();
  await saved(page);
  for (let i = 0; i < 3; i++) {
    await chain.getByRole('button', { name: 'Move Repeater 1 up' }).click();
    await saved(page);
  }
  await chain.getByRole('button', { name: /^Number along the chain/ }).click();
  await saved(page);
  const row = chain.getByRole('listitem').filter({ hasText: 'Repeater 1' });
  await expect(row).toContainText('repeats, has no address');
  await expect(row.getByRole('button', { name: 'behind ⊣ 120 Ω on' })).toBeVisible();
  await chain.getByRole('button', { name: 'Repeater 1', exact: true }).click();
  await fill(chain, {
    'Unit loads of a logger, meter or side of a repeater': '1',
    'Measured route from the device': '6',
    'Stub off the chain': '0',
    'It biases the pair behind it': 'yes',
    'To the right': '31',
    'Up the plan': '0.4',
    Height: '1.6',
  });
  await chain.getByRole('button', { name: 'Save', exact: true }).click();
  await saved(page);
  const parts = page.getByRole('navigation', { name: 'Parts of links' });
  await parts.getByRole('link', { name: 'Pair and meter' }).click();
  await expect(page.getByRole('region', { name: 'What the meter must read, segment 1' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'What the meter must read, segment 2' })).toContainText('Repeater 1');
  await parts.getByRole('link', { name: 'Scope' }).click();
  const scope = page.getByRole('region', { name: 'What each device hears' });
  await scope.getByRole('button', { name: 'Segment 2' }).click();
  await expect(scope.getByRole('row').nth(1)).toContainText('INV', { timeout: 30_000 });
  await expect(scope.getByRole('columnheader', { name: 'Repeater 1 sends' })).toBeVisible({ timeout: 30_000 });
});

test('twelve readings say which current transformers are exchanged or reversed', async ({ page, request }) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/links/meter`);
  const panel = page.getByRole('region', { name: 'How the current transformers are wired' });
  await expect(panel).toContainText('All twelve readings');
  // 10 kVA a phase at 0.95, transformers of L1 and L2 exchanged; the meter counts import.
  const own = [9500, 3122.5];
  const meter = [
    [7454.16, -6665.99],
    [2045.84, 9788.49],
    [-9500, -3122.5],
  ] as const;
  for (const [i, phase] of ['L1', 'L2', 'L3'].entries()) {
    const type = (label: string, value: number | undefined) =>
      panel.getByLabel(`${label} ${phase}`, { exact: false }).fill(String(value));
    await type('Inverters feed', own[0]);
    await type('Inverters supply', own[1]);
    await panel.locator(`#ct-meterP${i}`).fill(String(meter[i]?.[0]));
    await panel.locator(`#ct-meterQ${i}`).fill(String(meter[i]?.[1]));
  }
  await expect(panel.getByRole('row', { name: /^L1/ })).toContainText('measures the current of L2: take it to L1');
  await expect(panel.getByRole('row', { name: /^L2/ })).toContainText('measures the current of L1: take it to L2');
  await expect(panel.getByRole('row', { name: /^L3/ })).toContainText('right');
});

test('the sheet of the chain stands on a page and comes as a PDF', async ({ page, request }) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/links/sheet`);
  const sheet = page.getByRole('region', { name: /^RS-485 chain of/ });
  await expect(sheet.getByRole('row', { name: /INV-03/ })).toContainText('62.0 Ω');
  await expect(sheet).toContainText('above 4.95 V stop');
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  const pdf = await request.get(`/sites/${site}/links/sheet.pdf`);
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  expect((await request.get('/sites/01969a00-0000-7000-8000-00000000dead/links/sheet.pdf')).status()).toBe(404);
});

/** An address that somebody else puts on the record, on another device. */
async function recordedElsewhere(request: APIRequestContext, site: string, tag: string, address: number) {
  const { design } = (await (await request.get(`/api/v1/sites/${site}`)).json()) as {
    design: { inverters: readonly { id: string; tag: string }[] };
  };
  const data = {
    id: crypto.randomUUID(),
    kind: 'addressed',
    subject: { scope: 'inverter', id: design.inverters.find((u) => u.tag === tag)?.id },
    values: { from: 'stand-in', address, serial: null },
    doneAt: new Date().toISOString(),
    by: 'Jon Sabo',
    role: 'electrician',
    instrument: null,
    release: 'A',
    corrects: null,
    reason: null,
  };
  const answer = await request.post(`/api/v1/sites/${site}/records`, { data });
  expect(answer.ok(), await answer.text()).toBe(true);
}

test('units out of the box are given their addresses one by one, on record as what stand-ins said', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/links/walk`);
  await signOn(page);
  const walk = page.getByRole('region', { name: 'Addressing walk' });
  const fleet = page.getByRole('region', { name: 'Simulated fleet' });
  const who = walk.getByRole('button', { name: 'Who is there?' });
  await expect(walk).toContainText('Stand-in, no real device');
  await fleet.getByRole('button', { name: 'As out of the box' }).click();
  await expect(fleet).toContainText('9 units');
  // All at 1: nobody's serial comes through, and nothing is written.
  await who.click();
  await expect(walk.getByRole('alert')).toContainText('two may answer at once');
  await expect(walk.getByRole('button', { name: 'Write address 2' })).toBeDisabled();
  await walk.getByRole('button', { name: 'Power for INV-02 alone' }).click();
  await expect(fleet).toContainText('Only the unit at place 2 has power');
  await who.click();
  await expect(walk).toContainText('answers at 1: inverter');
  // A colleague records the very unit: whoever stands at it stays there.
  await recordedElsewhere(request, site, 'INV-02', 2);
  await expect(walk).toContainText('1 of 9 have their address');
  await expect(walk.getByRole('button', { name: /^INV-02 → 2/ })).toHaveAttribute('aria-current', 'step');
  await expect(walk).toContainText('answers at 1: inverter');
  await walk.getByRole('button', { name: 'Write address 2' }).click();
  await expect(walk).toContainText('read back at 2 · nobody at 1 any more');
  await expect(page.getByText('On record: unknown')).toBeVisible();
  await walk.getByRole('button', { name: 'Set clock and grid code' }).click();
  await expect(walk).toContainText('grid code 1 written · read back');
  await walk.getByRole('button', { name: 'Next unit' }).click();

  // The wrong one has power: its serial says so, and where it belongs.
  await expect(walk).toContainText('INV-03 → 3');
  await walk.getByRole('button', { name: /^INV-04 → 4/ }).click();
  await walk.getByRole('button', { name: 'Power for INV-04 alone' }).click();
  await walk.getByRole('button', { name: /^INV-03 → 3/ }).click();
  await who.click();
  await expect(walk.getByRole('alert')).toContainText('This is not INV-03: its serial is planned for INV-04');
  await expect(walk.getByRole('button', { name: 'Write address 3' })).toBeDisabled();
  await walk.getByRole('button', { name: 'Go to INV-04' }).click();
  await who.click();
  await expect(walk).toContainText('answers at 1: inverter');
  // The line goes in the middle: said, nothing on record, and the same press does it when it is back.
  await fleet.getByRole('button', { name: 'Gateway away for 10 s' }).click();
  await walk.getByRole('button', { name: 'Write address 4' }).click();
  await expect(walk.getByRole('alert')).toContainText(/Nobody answers on port \d+|is gone/);
  await expect(walk).toContainText('1 of 9 have their address');
  await expect(async () => {
    await walk.getByRole('button', { name: 'Write address 4' }).click();
    await expect(walk).toContainText('read back at 4', { timeout: 3000 });
  }).toPass({ timeout: 60_000 });

  // Taken up again behind what is on record; and no gate was closed or opened by any of it.
  await open(page, `/sites/${site}/links/walk`);
  await expect(walk).toContainText('2 of 9 have their address');
  await expect(walk.getByRole('button', { name: /^INV-03 → 3/ })).toHaveAttribute('aria-current', 'step');
  await open(page, `/sites/${site}/energise`);
  await expect(gateOf(page, /Bus address.*passed/)).toBeVisible();

  await open(page, `/sites/${site}/links/field`);
  await fleet.getByRole('button', { name: 'Set it up like the plan' }).click();
  const scan = page.getByRole('region', { name: 'Scan: plan against found' });
  await scanHealthy(scan);
  await scan.getByText('Put this scan on the record').click();
  await fill(scan, { 'Across the pair at the first device': '62', 'Largest D0 to local earth': '0.2' });
  await scan.getByRole('button', { name: 'Record the scan' }).click();
  await expect(page.getByText('On record: unknown')).toBeVisible();
});
