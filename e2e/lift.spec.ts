import { expect, test } from './test';
import type { Page } from '@playwright/test';
import zxing from '@zxing/library';
import { demoSite, fill, open, signOn } from './helpers';

/** Bars of Code 39 (ISO/IEC 16388): bar and space in turn, w wide, n narrow. */
const CODE_39: Readonly<Record<string, string>> = {
  '*': 'nwnnwnwnn',
  A: 'wnnnnwnnw',
  B: 'nnwnnwnnw',
  '1': 'wnnwnnnnw',
  '2': 'nnwwnnnnw',
  '3': 'wnwwnnnnn',
};
/** Dark modules of a code as rows of 0 and 1. */
function code39(text: string): string[] {
  const bars = [...`*${text}*`]
    .map((c) => [...(CODE_39[c] ?? '')].map((w, i) => (i % 2 ? '0' : '1').repeat(w === 'w' ? 3 : 1)).join(''))
    .join('0');
  return Array.from({ length: 40 }, () => bars);
}
function qr(text: string): string[] {
  const matrix = new zxing.QRCodeWriter().encode(text, zxing.BarcodeFormat.QR_CODE, 0, 0, new Map());
  return Array.from({ length: matrix.getHeight() }, (_, y) =>
    Array.from({ length: matrix.getWidth() }, (_x, x) => (matrix.get(x, y) ? '1' : '0')).join(''),
  );
}
/** A photo of a label with a code on it: drawn, on paper that is not quite white. */
async function labelWith(page: Page, rows: readonly string[], px: number): Promise<Buffer> {
  const url = await page.evaluate(
    ([lines, size]) => {
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [(lines[0]?.length ?? 0) * size + 160, lines.length * size + 160];
      const pen = canvas.getContext('2d');
      if (!pen) return '';
      pen.fillStyle = '#efe9dc';
      pen.fillRect(0, 0, canvas.width, canvas.height);
      pen.fillStyle = '#1c1a17';
      lines.forEach((line, y) =>
        [...line].forEach((c, x) => c === '1' && pen.fillRect(80 + x * size, 80 + y * size, size, size)),
      );
      return canvas.toDataURL('image/png');
    },
    [rows, px] as const,
  );
  return Buffer.from(url.slice(url.indexOf(',') + 1), 'base64');
}

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test('a box is received with its serial scanned off a label, a photo of the damage and a shortage', async ({
    page,
    request,
  }) => {
    const site = await demoSite(request);
    await open(page, `/sites/${site}/mounting?at=inv-2`);
    await signOn(page, 'Jon Sabo', 'helper');
    const box = page.getByRole('region', { name: 'Box of INV-02' });
    await fill(box, {
      'bracket, 1 expected': '1',
      'anchor with washer, 4 expected': '3',
      'safety screw, 2 expected': '2',
    });

    // A code on a picture goes into its field, and what was typed stays.
    const scan = box.getByLabel('Serial from a picture of the label');
    const blank = await labelWith(page, ['0000000000'], 20);
    await scan.setInputFiles({ name: 'blank.png', mimeType: 'image/png', buffer: blank });
    await expect(box.getByRole('alert')).toContainText('No code was found on this picture');
    await scan.setInputFiles({
      name: 'qr.png',
      mimeType: 'image/png',
      buffer: await labelWith(page, qr('OSTW-26-0042'), 8),
    });
    await expect(box.getByLabel('Serial number, from the label')).toHaveValue('OSTW-26-0042');
    await scan.setInputFiles({
      name: 'bars.png',
      mimeType: 'image/png',
      buffer: await labelWith(page, code39('AB123'), 4),
    });
    await expect(box.getByLabel('Serial number, from the label')).toHaveValue('AB123');
    await expect(box.getByLabel('bracket, 1 expected')).toHaveValue('1');

    await box.getByLabel('Packaging whole').selectOption('no');
    await box.getByLabel('Damage told to the carrier').selectOption('yes');
    await fill(box, { 'DC cap, pair, 12 expected': '12', 'bus plug, 1 expected': '1' });
    await box
      .getByLabel('Photos of label, packaging and damage')
      .setInputFiles({ name: 'damage.png', mimeType: 'image/png', buffer: blank });
    await expect(box.getByRole('img', { name: 'Photo 1' })).toBeVisible();
    await box.getByRole('button', { name: 'Record the box' }).click();

    await expect(page.getByRole('status').filter({ hasText: /^On record/ })).toBeVisible();
    await expect(box).toContainText('anchor with washer: 3 of 4 whole, 1 short');
    await expect(box).toContainText('damaged: the packaging');
    await expect(box).toContainText('0 of 6 units of this type');
    const photo = box.getByRole('list', { name: 'Photos of the box' }).getByRole('link');
    const kept = await request.get((await photo.getAttribute('href')) ?? '');
    expect(kept.headers()['content-type']).toBe('image/jpeg');
    await box.getByRole('button', { name: 'Put it on the open points' }).click();
    await expect(box).toContainText('Stands on the open points.');
  });

  test('a lift past a limit is refused, a tight one wants a reason, and the card goes along', async ({
    page,
    request,
  }) => {
    const site = await demoSite(request);
    await open(page, `/sites/${site}/mounting?at=inv-3`);
    await signOn(page, 'Mette Holtmark', 'lead');
    const lift = page.getByRole('region', { name: 'Lift of INV-03' });
    await lift.getByText('Lift it again').click();
    const record = async (people: string, by: string, gusts: string, accepted = '') => {
      await lift.getByLabel('It goes up by').selectOption({ label: by });
      await fill(lift, { 'People at the unit': people, 'Gusts, read now': gusts, 'Accepted although': accepted });
      for (const what of ['Way and place free', 'Nobody below', 'Gear looked at', 'Handles unlocked'])
        await lift.getByLabel(new RegExp(`^${what}`)).selectOption('yes');
      await lift.getByRole('button', { name: 'Record the lift' }).click();
    };
    await record('1', 'lift table', '4', 'we are in a hurry');
    await expect(lift).toContainText('past its limit: People planned for the lift');
    await lift.getByText('Lift it again').click();
    await record('2', 'lift table', '9');
    await expect(lift).toContainText('gusts of 9 m/s, by lift table to 8 m/s');
    await lift.getByText('Lift it again').click();
    await record('2', 'hand', '4');
    await expect(lift).toContainText('whoever leads the lift accepts it with a reason, or takes gear');
    await lift.getByText('Lift it again').click();
    await record('2', 'hand', '4', 'one unit, short way, four hands');
    await expect(lift).toContainText('accepted: one unit, short way, four hands');

    const card = (await lift.getByRole('link', { name: 'Lift card, PDF' }).getAttribute('href')) ?? '';
    const pdf = await request.get(card);
    expect(pdf.headers()['content-type']).toBe('application/pdf');
    expect((await request.get(card.replace('inv-3', 'inv-99'))).status()).toBe(404);
  });
});

test('mounting in print: the sheet without what is only for the screen', async ({ page, request }) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/mounting?at=inv-3`);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('region', { name: 'Set-out of Machine room wall' })).toBeVisible();
  await expect(page.getByRole('row', { name: /^A1 INV-01/ })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Lift of INV-03' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'PDF to scale, A4' })).toBeHidden();
  await expect(page.getByRole('button', { name: /^Find places for/ })).toBeHidden();
  const pdf = await page.pdf({ format: 'A4' });
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
});
