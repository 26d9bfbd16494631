import type { Page } from '@playwright/test';
import { expect, test } from './test';
import { demoSite, fill, open, saved } from './helpers';

const sheet = (page: Page) => page.getByRole('group', { name: /^Plan of the site/ });
const thing = (page: Page, name: string) => sheet(page).getByRole('button', { name: new RegExp(`^${name}, `) });
const news = (page: Page) => page.getByTestId('plan-news');

/** A picture of one colour as the browser itself makes it, so many px wide and high. */
async function picture(page: Page, width: number, height: number): Promise<Buffer> {
  const url = await page.evaluate(
    ([w, h]) => {
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [w ?? 1, h ?? 1];
      canvas.getContext('2d')?.fillRect(10, 10, 50, 50);
      return canvas.toDataURL('image/png');
    },
    [width, height],
  );
  return Buffer.from(url.split(',')[1] ?? '', 'base64');
}

test('a picture is traced to scale: two points and their distance, then a tray drawn over it', async ({
  page,
  request,
}) => {
  const site = await demoSite(request, 'brekkesund-fish-hall');
  await open(page, `/sites/${site}/plan`);
  const behind = page.getByRole('region', { name: 'To trace over' });
  await behind.getByLabel('Picture or DXF').setInputFiles({
    name: 'hall.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from('no picture'),
  });
  await expect(behind.getByRole('alert')).toContainText('This is no picture that can be read');
  await behind
    .getByLabel('Picture or DXF')
    .setInputFiles({ name: 'hall.png', mimeType: 'image/png', buffer: await picture(page, 800, 400) });
  const toScale = behind.getByRole('img', { name: /to set its scale/ });
  const box = (await toScale.boundingBox())!;
  await toScale.click({ position: { x: 0.1 * box.width, y: 0.5 * box.height } });
  await expect(behind.getByText('Click two points between which you know the distance.')).toBeVisible();
  await toScale.click({ position: { x: 0.6 * box.width, y: 0.5 * box.height } });
  await behind.getByLabel('Distance between them').fill('0.2');
  await behind.getByRole('button', { name: 'Put it behind the plan' }).click();
  await expect(behind.getByRole('alert')).toContainText('1 to 20 000 m is taken');
  await behind.getByLabel('Distance between them').fill('25');
  await behind.getByRole('button', { name: 'Put it behind the plan' }).click();
  await expect(behind.getByText('hall.png')).toBeVisible();
  await saved(page);
  // Half of the picture is 25 m.
  const width = Number(await behind.getByLabel(/^Width to scale/).inputValue());
  expect(width).toBeGreaterThan(48);
  expect(width).toBeLessThan(52);
  await expect(sheet(page).locator('image')).toHaveAttribute('href', /\/backdrops\/[0-9a-f]{64}$/);
  expect(
    (await page.request.get((await sheet(page).locator('image').getAttribute('href')) ?? '')).headers()['content-type'],
  ).toBe('image/jpeg');

  await page.getByRole('button', { name: 'Draw a tray' }).click();
  await expect(page.getByText('Give the height first.')).toBeVisible();
  await page.getByLabel('Height of the tray').fill('6');
  await page.getByRole('button', { name: 'Draw it' }).click();
  const plan = (await sheet(page).boundingBox())!;
  await sheet(page).click({ position: { x: plan.width * 0.2, y: plan.height * 0.35 } });
  await sheet(page).click({ position: { x: plan.width * 0.7, y: plan.height * 0.35 } });
  await page.keyboard.press('Enter');
  await saved(page);
  await expect(page.getByRole('region', { name: 'Trays' }).getByRole('row', { name: /^Tray 1/ })).toContainText(
    'home runs, AC runs',
  );
  await page.getByRole('region', { name: 'Lengths', exact: true }).getByText('home runs', { exact: true }).click();
  await expect(page.getByRole('row', { name: /^string 1 / })).toContainText('by Tray 1');
  await page.getByRole('button', { name: /^Undo: tray Tray 1/ }).click();
  await expect(page.getByRole('row', { name: /^string 1 / })).toContainText('straight, square corners');
});

test('a thing is moved by key and by pointer, what changes is said before it is let go, and undo brings it back', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/plan`);
  const board = thing(page, 'PV board PVB-1');
  await board.focus();
  const before = await board.getAttribute('aria-label');
  await page.keyboard.press('ArrowLeft');
  // Its runs were measured: their lengths stay.
  await expect(news(page)).toContainText('PV board PVB-1 at −0.10, 0.00, 1.40 m');
  await expect(news(page)).toContainText('no length changes');
  await page.keyboard.press('Escape');
  await expect(board).toHaveAttribute('aria-label', before ?? '');

  // The roof tray is pulled away from the roof: home runs get longer, and some drop too much.
  const tray = thing(page, 'Cross tray');
  await tray.focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowRight');
  await expect(news(page)).toContainText(/string \d+ to INV-0\d\s+[\d.]+ m → [\d.]+ m/);
  await page.keyboard.press('Enter');
  await saved(page);
  await expect(tray).toHaveAttribute('aria-label', /at 44\.30, 52\.00, 11\.00 m/);
  await page.getByRole('button', { name: /^Undo: tray Cross tray/ }).click();
  await expect(tray).toHaveAttribute('aria-label', /at 44\.00, 52\.00, 11\.00 m/);

  const spot = thing(page, 'Unloading');
  const box = (await spot.locator('circle').first().boundingBox())!;
  await page.mouse.move(box.x + 8, box.y + 8);
  await page.mouse.down();
  await page.mouse.move(box.x + 50, box.y + 30, { steps: 5 });
  await expect(news(page)).toContainText('Unloading at');
  await page.mouse.up();
  await saved(page);
  await expect(spot).not.toHaveAttribute('aria-label', /at 62\.00, −4\.00/);

  // A unit on a wall is not moved here, and says where.
  await thing(page, 'INV-03').click();
  const picked = page.getByRole('region', { name: 'What is picked' });
  await expect(picked).toContainText('Hangs on Machine room wall');
  await picked.getByRole('link', { name: 'on the wall' }).click();
  await expect(page).toHaveURL(/\/mounting\?at=inv-3/);
});

test('a site that came as a file says that the picture behind its plan is not there', async ({ page, request }) => {
  const site = await demoSite(request, 'brekkesund-fish-hall');
  const backdrop = { id: 'a'.repeat(64), name: 'gone.png', widthM: 30, heightM: 20, xM: 0, yM: 0 };
  const edit = { kind: 'plan', northDeg: 20, levels: [], backdrop };
  const made = await request.post(`/api/v1/sites/${site}/edits`, {
    data: { revision: 1, edit, id: crypto.randomUUID() },
  });
  expect(made.status()).toBe(200);
  await open(page, `/sites/${site}/plan`);
  await expect(page.getByText('“gone.png” is not kept here: load it again')).toBeVisible();
  await expect(sheet(page).getByRole('img', { name: 'North, 20° from straight up' })).toBeVisible();
});

test('a length shows its way, and a place is typed', async ({ page, request }) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/plan`);
  const lengths = page.getByRole('region', { name: 'Lengths', exact: true });
  await expect(page.getByTestId('way')).toHaveCount(0);
  await lengths.getByRole('searchbox').fill('inv-08');
  await lengths
    .getByRole('row', { name: /^INV-08 PV board/ })
    .getByRole('button', { name: 'way' })
    .click();
  await expect(page.getByTestId('way')).toHaveCount(1);
  await expect(lengths.getByRole('row', { name: /^INV-08 PV board/ })).toContainText('measured');

  await thing(page, 'Transformer T1').click();
  const picked = page.getByRole('region', { name: 'What is picked' });
  await fill(picked, { 'To the right': '-20' });
  await picked.getByRole('button', { name: 'Put it there' }).click();
  await saved(page);
  await expect(thing(page, 'Transformer T1')).toHaveAttribute('aria-label', /at −20\.00, −4\.00/);
});

test('what stands nowhere is put on the plan, and a run takes its length from it', async ({ page, request }) => {
  const site = await demoSite(request, 'brekkesund-fish-hall');
  await open(page, `/sites/${site}/plan`);
  const lengths = page.getByRole('region', { name: 'Lengths', exact: true });
  await lengths.getByRole('searchbox').fill('inv-01');
  const run = lengths.getByRole('row', { name: /^INV-01 Site board/ });
  await expect(run).toContainText('not known');
  await page.getByLabel('Not on the plan yet').selectOption({ label: 'Site board' });
  await page.getByLabel('Its height').fill('1.4');
  await page.getByRole('button', { name: 'Put Site board' }).click();
  const plan = (await sheet(page).boundingBox())!;
  await sheet(page).click({ position: { x: plan.width * 0.3, y: plan.height * 0.8 } });
  await saved(page);
  await expect(thing(page, 'Site board')).toBeVisible();
  await expect(run).toContainText(/\d\.\d m/);
  await expect(run).toContainText('straight, square corners');
});
