import { expect, test } from './test';
import { demoSite, open, saved } from './helpers';

test('a broken or foreign project file is refused with the place of the error, and changes nothing', async ({
  page,
}) => {
  await open(page, '/');
  const sites = await page.getByRole('main').getByRole('heading', { level: 2 }).count();
  const take = (content: string) =>
    page
      .getByLabel('Import a project file')
      .setInputFiles({ name: 'site.json', mimeType: 'application/json', buffer: Buffer.from(content) });
  await take('{"format": "bolt-yard-project",\n "version": }');
  await expect(page.getByRole('alert')).toContainText('line 2, column');
  await take('{"photos": []}');
  await expect(page.getByRole('alert')).toContainText('/format must be');
  await page.reload();
  await expect(page.getByRole('main').getByRole('heading', { level: 2 })).toHaveCount(sites);
});

test('two people at one site: the second is told, and loses nothing that was saved', async ({
  page,
  request,
  context,
}) => {
  const site = await demoSite(request, 'brekkesund-fish-hall');
  await open(page, `/sites/${site}/survey`);
  const other = await context.newPage();
  await open(other, `/sites/${site}/survey`);
  const name = await other.getByRole('heading', { level: 1 }).innerText();
  await page.getByLabel(/^Altitude/).fill('7');
  await page.getByRole('button', { name: 'Save the survey' }).click();
  await saved(page);
  await other.getByLabel(/^Altitude/).fill('9');
  await other.getByLabel(/^Name/).fill('Refused name');
  await other.getByRole('button', { name: 'Save the survey' }).click();
  await expect(other.getByRole('alert').first()).toContainText('Somebody changed this site');
  // Taken back from the screen under a word that says so; what was typed is still there.
  await expect(other.getByRole('heading', { level: 1 })).toHaveText(name);
  await expect(other.getByText(/· last change not saved$/)).toBeVisible();
  await expect(other.getByText(/· saved$/)).toHaveCount(0);
  await expect(other.getByLabel(/^Altitude/)).toHaveValue('9');
  await expect(other.getByLabel(/^Name/)).toHaveValue('Refused name');
  await other.getByRole('button', { name: 'Reload the site' }).click();
  await expect(other.getByLabel(/^Altitude/)).toHaveValue('7');
});

test('a data sheet with swapped or mistyped figures is refused beside the field, and a caution shows', async ({
  page,
}) => {
  await open(page, '/shelf');
  await page
    .getByRole('row', { name: /Larkglass 575/ })
    .getByRole('button', { name: 'change' })
    .click();
  const form = page.locator('form').filter({ has: page.getByRole('button', { name: 'Save the sheet' }) });
  const beta = form.getByLabel(/^Open-circuit voltage coefficient/);
  await beta.fill('-0.1295662');
  await form.getByRole('button', { name: 'Save the sheet' }).click();
  await expect(form.getByText(/is no Voc coefficient of silicon.*DS24/).first()).toBeVisible();
  await expect(beta).toHaveValue('-0.1295662');
  await form.getByLabel('Unit of the coefficients').selectOption('V/K, A/K, W/K');
  await form.getByLabel(/^Short-circuit current coefficient/).fill('0.0065366');
  await form.getByLabel(/^Power coefficient/).fill('-1.7135');
  await form.getByLabel(/^Cells in series/).fill('144');
  await expect(form.getByText(/half-cut modules print twice the series count. Use 72/)).toBeVisible();
  await form.getByLabel(/^Cells in series/).fill('72');
  await form.getByRole('button', { name: 'Save the sheet' }).click();
  await expect(page.getByRole('row', { name: /Larkglass 575/ })).toContainText('−0.251 %/K');
});

test('a missing input is unknown on every stage, and no page is a dead end', async ({ page, request }) => {
  const site = await demoSite(request, 'ulvaby-bus-depot');
  for (const stage of ['survey', 'strings', 'ac', 'links', 'log', 'energise', 'handover']) {
    await open(page, `/sites/${site}/${stage}`);
    const line = page.getByRole('navigation', { name: /line from module/ });
    await expect(line.getByRole('img', { name: 'unknown' }).first()).toBeVisible();
    await expect(line.locator('svg[aria-label="holds"]')).toHaveCount(0);
    await expect(page.getByRole('main')).not.toContainText('NaN');
  }
  await open(page, '/sites/nowhere/strings');
  await expect(page.getByText('There is no site at this address')).toBeVisible();
});

test('what nobody answers for is said, kept over a reload and sent once; what was only typed comes back too', async ({
  page,
  request,
}) => {
  const site = await demoSite(request, 'brekkesund-fish-hall');
  page.on('dialog', (asked) => asked.accept());
  await open(page, `/sites/${site}/survey`);
  const altitude = page.getByLabel(/^Altitude/);
  await page.route('**/edits', (route) => route.abort());
  await altitude.fill('17');
  await page.getByRole('button', { name: 'Save the survey' }).click();
  await expect(page.getByText(/· not sent: nobody answers/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/· not sent: nobody answers/)).toBeVisible();
  await expect(altitude).toHaveValue('17');
  const sent: string[] = [];
  page.on('request', (r) => r.url().endsWith('/edits') && sent.push(r.url()));
  await page.unroute('**/edits');
  await saved(page);
  await page.waitForLoadState('networkidle');
  expect(sent.length).toBe(1);
  await open(page, `/sites/${site}/survey`);
  await expect(altitude).toHaveValue('17');
  await altitude.fill('23');
  await page.reload();
  await expect(page.getByText('Typed before, not saved yet.')).toBeVisible();
  await expect(altitude).toHaveValue('23');
  // Whoever goes to another page is asked, and may stay.
  page.removeAllListeners('dialog');
  const asked: string[] = [];
  page.on('dialog', (dialog) => {
    asked.push(dialog.message());
    void dialog.dismiss();
  });
  await page.getByRole('navigation').getByRole('link', { name: 'Strings' }).click();
  await expect.poll(() => asked).toEqual(['What you typed here is not saved. Leave it?']);
  await expect(altitude).toHaveValue('23');
});
