import type { Page } from '@playwright/test';
import { expect, test } from './test';
import { demoSite, fill, open, saved } from './helpers';

const STAGES = ['survey', 'strings', 'ac', 'links', 'log', 'energise', 'handover'];

/** How far from the top the work starts: the upper edge of what a stage shows, below the bar. */
const topOfWork = (page: Page) =>
  page.locator('#content').evaluate((main) => {
    const padding = Number.parseFloat(getComputedStyle(main).paddingTop);
    return main.getBoundingClientRect().top + window.scrollY + padding;
  });

test('the bar leaves the screen to the work: 110 px on a desk, 96 px on a phone', async ({ page, request }) => {
  const site = await demoSite(request);
  for (const [width, height, most] of [
    [1280, 800, 110],
    [390, 844, 96],
  ] as const) {
    await page.setViewportSize({ width, height });
    for (const stage of STAGES) {
      await open(page, `/sites/${site}/${stage}`);
      expect(await topOfWork(page), `${stage} at ${width}`).toBeLessThanOrEqual(most);
      expect(await page.evaluate(() => document.documentElement.scrollWidth), stage).toBeLessThanOrEqual(width);
    }
  }
});

test('a stage opens on its main object', async ({ page, request }) => {
  const site = await demoSite(request);
  for (const [stage, role, name] of [
    ['strings', 'region', 'Pegs of INV-01'],
    ['ac', 'region', /^Schedule of runs/],
    ['links', 'region', 'RS-485 chain'],
    ['log', 'region', /INV-01 · tracker 1/],
    ['energise', 'region', /^Gates of/],
  ] as const) {
    await open(page, `/sites/${site}/${stage}`);
    const box = await page.getByRole(role, { name }).first().boundingBox();
    expect(box?.y, stage).toBeLessThan(400);
  }
});

test('undo and redo say what they do, by button and by key', async ({ page, request }) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/links`);
  const [undo, redo] = [page.getByRole('button', { name: /^Undo/ }), page.getByRole('button', { name: /^Redo/ })];
  await expect(undo).toBeDisabled();
  await page.getByRole('combobox', { name: 'Bit rate' }).selectOption('4800');
  await saved(page);
  await expect(undo).toHaveAccessibleName('Undo: the bit rate');
  await expect(redo).toBeDisabled();
  await page.getByRole('heading', { name: 'RS-485 chain' }).click();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('combobox', { name: 'Bit rate' })).toHaveValue('9600');
  await expect(redo).toHaveAccessibleName('Redo: the bit rate');
  await expect(undo).toBeDisabled();
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByRole('combobox', { name: 'Bit rate' })).toHaveValue('4800');
  await saved(page);
  // Stays over a reload, and goes with the next change.
  await undo.click();
  await expect(page.getByRole('combobox', { name: 'Bit rate' })).toHaveValue('9600');
  await saved(page);
  await page.reload();
  await expect(redo).toHaveAccessibleName('Redo: the bit rate');
  await page.getByLabel('Address of INV-08').fill('21');
  await page.getByLabel('Address of INV-08').press('Enter');
  await saved(page);
  await expect(undo).toHaveAccessibleName('Undo: INV-08 on the chain');
  await expect(redo).toBeDisabled();
});

test('anything is found by typing, and every shortcut stands on one sheet', async ({ page, request }) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/survey`);
  await page.keyboard.press('Control+k');
  const box = page.getByRole('dialog').getByRole('combobox');
  await box.fill('string 87');
  await expect(page.getByRole('option').first()).toContainText('String 87');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/strings\?at=/);
  await expect(page.locator('[data-peg]:focus')).toHaveAccessibleName(/string 87/);

  await page.keyboard.press('Control+k');
  await page.getByRole('dialog').getByRole('combobox').fill('run of inv-07');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Run of INV-07' })).toBeVisible();

  await page.keyboard.press('Control+k');
  await page.getByRole('dialog').getByRole('combobox').fill('home-run-drop');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/rules#strings.home-run-drop/);

  await open(page, `/sites/${site}/ac`);
  await page.keyboard.press('?');
  const sheet = page.getByRole('dialog', { name: 'Shortcuts' });
  await expect(sheet).toContainText('Ctrl Shift Z');
  await page.keyboard.press('Escape');
  await expect(sheet).toBeHidden();
  await page.keyboard.press(']');
  await expect(page).toHaveURL(/\/mounting$/);
  await page.keyboard.press('[');
  await expect(page).toHaveURL(/\/ac$/);
});

test('from one site straight to another, what is entered is entered there, and nothing of the first stays', async ({
  page,
  request,
}) => {
  const first = await demoSite(request);
  const made = await request.post('/api/v1/sites', { data: { name: 'Quarry shed 7' } });
  const { siteId: second } = (await made.json()) as { siteId: string };
  await open(page, `/sites/${first}/links`);
  await page.getByRole('combobox', { name: 'Bit rate' }).selectOption('4800');
  await saved(page);
  await page.keyboard.press('Control+k');
  await page.getByRole('dialog').getByRole('combobox').fill('quarry shed 7');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(new RegExp(`/sites/${second}/survey$`));
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Quarry shed 7');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await page.getByLabel('Place', { exact: true }).fill('Steinhagen');
  await page.getByLabel('Place', { exact: true }).press('Enter');
  await saved(page);
  const place = async (id: string) => {
    const { design } = (await (await request.get(`/api/v1/sites/${id}`)).json()) as {
      design: { survey: { place: string } };
    };
    return design.survey.place;
  };
  await expect.poll(() => place(second)).toBe('Steinhagen');
  expect(await place(first)).not.toBe('Steinhagen');

  await page.goBack();
  await expect(page.getByRole('combobox', { name: 'Bit rate' })).toHaveValue('4800');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Tarnholm ice rink');
});

test('the record of one site is never taken for that of another', async ({ page, request }) => {
  const first = await demoSite(request);
  const made = await request.post('/api/v1/sites', { data: { name: 'Quarry shed 8' } });
  const { siteId: second } = (await made.json()) as { siteId: string };
  await open(page, `/sites/${first}/energise`);
  const gates = page.getByRole('region', { name: /^Gates of/ });
  await expect(gates.first()).toBeVisible();
  await page.keyboard.press('Control+k');
  await page.getByRole('dialog').getByRole('combobox').fill('quarry shed 8');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(new RegExp(`/sites/${second}/survey$`));
  await page.getByRole('link', { name: 'Energise', exact: true }).click();
  await expect(page).toHaveURL(new RegExp(`/sites/${second}/energise$`));
  await expect(page.getByText('Nothing is released yet')).toBeVisible();
  await expect(gates).toHaveCount(0);
  // The same screen of the one, then of the other, with nothing between.
  await page.evaluate(() => history.go(-2));
  await expect(page).toHaveURL(new RegExp(`/sites/${first}/energise$`));
  await expect(gates.first()).toBeVisible();
  await page.evaluate(() => history.go(2));
  await expect(page.getByText('Nothing is released yet')).toBeVisible();
  await expect(gates).toHaveCount(0);
});

test('the ledger stands by rule, is searched, and leads to the object', async ({ page, request }) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/strings`);
  const ledger = page.getByRole('region', { name: 'Margins: strings' });
  const rules = ledger.locator('ol > li');
  expect(await rules.count()).toBeLessThan(25);
  await expect(rules.first()).toContainText('places, worst');
  await ledger.getByRole('searchbox').fill('coldest inv-05');
  await expect(rules).toHaveCount(1);
  await rules.first().locator('summary').first().press('Enter');
  const place = rules.first().locator('ul > li').first();
  await expect(place).toContainText('Uoc,cold');
  await place.getByRole('link', { name: /^Go to INV-05/ }).press('Enter');
  await expect(page.locator('[data-peg]:focus')).toHaveAccessibleName(/^INV-05/);
  await ledger.getByRole('searchbox').fill('no such thing');
  await expect(ledger).toContainText('None of');
});

test('an empty site says what comes next and leads to the field, to its release', async ({ page, request }) => {
  const made = await request.post('/api/v1/sites', { data: { name: 'Led by the hand' } });
  const { siteId } = (await made.json()) as { siteId: string };
  await open(page, `/sites/${siteId}/ac`);
  const next = page.getByTestId('next');
  await next.getByRole('link', { name: 'Say where the site is and how cold it gets' }).click();
  await expect(page.getByLabel(/^Lowest expected ambient/)).toBeFocused();
  await fill(page, { 'Lowest expected ambient at dawn': '-14', 'Hot design ambient': '34' });
  await page.getByRole('button', { name: 'Save the survey' }).click();
  await saved(page);
  await expect(next).toContainText('Give the line voltage of the grid');
});

test('what a stage lacks is named and leads to its field', async ({ page, request }) => {
  const site = await demoSite(request, 'brekkesund-fish-hall');
  await open(page, `/sites/${site}/strings`);
  await page.getByTestId('next').getByRole('link', { name: 'how the DC cable lies' }).click();
  await expect(page.getByLabel('How the DC cable lies')).toBeFocused();
  await page.getByRole('link', { name: 'AC runs', exact: true }).click();
  await page.getByTestId('next').getByRole('link', { name: 'metal of the lines' }).click();
  await expect(page.getByLabel(/^Metal of the lines/)).toBeFocused();
});

test('on a phone who signs is a chip that opens, and the rest stands behind one button', async ({ page, request }) => {
  const site = await demoSite(request);
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, `/sites/${site}/energise`);
  await page.getByRole('button', { name: 'say who you are' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Nils Oda');
  await page.getByRole('button', { name: 'Keep on this device' }).click();
  await expect(page.getByRole('button', { name: 'Signed on: Nils Oda, electrician' })).toBeVisible();
  await page.getByRole('button', { name: /^More/ }).click();
  await page.getByRole('navigation', { name: 'Main' }).getByRole('link', { name: 'Shelf' }).click();
  await expect(page).toHaveURL(/\/shelf$/);
});

test('an instrument says how well it reads, half a figure is asked for the rest, and the device keeps it', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/energise`);
  await page.getByRole('button', { name: 'Sign on', exact: true }).click();
  await page.getByText('Another instrument').click();
  const form = page.locator('details').filter({ hasText: 'Another instrument' });
  const serial = `STO-${Date.now()}`;
  await fill(form, { Instrument: 'stopwatch', 'Make of it': 'Stopwatch', 'Its serial': serial });
  await form.getByLabel('Calibrated until').fill('2099-12-31');
  const time = form.getByRole('group', { name: 'time, as its sheet says' });
  await fill(time, { 'up to': '600', '± digits': '2', 'one digit is': '0.1' });
  await form.getByRole('button', { name: 'Add the instrument' }).click();
  await expect(form.getByRole('alert')).toContainText('Time: say the share of the reading as well, 0 %');
  await expect(time.getByLabel('± digits')).toHaveValue('2');
  await fill(time, { '± of reading': '1' });
  await form.getByRole('button', { name: 'Add the instrument' }).click();
  const listed = page.getByRole('listitem').filter({ hasText: serial });
  await expect(listed).toContainText('time 0 to 600 s ± (1 % + 2 × 0.1 s)');
  await expect(time.getByLabel('± digits')).toHaveValue('');
  await page.reload();
  await page.getByRole('button', { name: /^Sign(ed)? on/ }).click();
  await expect(listed).toContainText('± (1 % + 2 × 0.1 s)');
});
