import { expect, test } from './test';
import { demoSite, fill, open, saved, signOn } from './helpers';

test('the shortest order of the chain is found, proven, taken, and undone', async ({ page, request }) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/links`);
  const items = page.getByRole('region', { name: 'RS-485 chain' }).getByRole('listitem');
  // Out of order first: the second unit behind the fifth.
  for (let i = 0; i < 3; i++) {
    await page.getByRole('button', { name: 'Move INV-02 down' }).click();
    await saved(page);
  }
  const panel = page.getByRole('region', { name: 'Shortest order' });
  await panel.getByRole('button', { name: 'Find the shortest order' }).click();
  await expect(panel).toContainText('proven: no other order is shorter');
  await expect(panel).toContainText(/As it is the chain takes [\d.]+ m/);
  const map = (which: string) => panel.getByRole('img', { name: new RegExp(`^${which}.*on the plan`) });
  await expect(map('The order that was found')).toBeVisible();
  const before = await items.allTextContents();
  await panel.getByRole('button', { name: 'Take this order' }).click();
  await saved(page);
  expect(await items.allTextContents()).not.toEqual(before);
  await expect(map('The chain as it is')).toBeVisible();
  await panel.getByRole('button', { name: 'Find the shortest order' }).click();
  await expect(panel).toContainText('The chain takes no more as it is.');
  // Another end is another question.
  await panel.getByLabel('Ends at').selectOption({ label: 'INV-01' });
  await expect(panel).not.toContainText('proven');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(items.first()).toBeVisible();
});

test('ways beside the bus are judged as they are entered, and an Ethernet gets its addresses', async ({
  page,
  request,
}) => {
  const site = await demoSite(request);
  await open(page, `/sites/${site}/links/beside`);
  const margins = page.getByRole('region', { name: 'Margins: beside the bus' });
  await expect(margins).toContainText('Nothing to judge here yet');
  await page.getByRole('button', { name: 'Add to: unit to unit by Ethernet' }).click();
  const row = page.getByRole('group', { name: 'Unit to unit by Ethernet, 1' });
  await fill(row, {
    Called: 'Hall',
    'Units on it': '22',
    'Longest hop': '60',
    'Closed to a ring': 'no',
    Network: '192.0.2.0',
    Prefix: '27',
    Gateway: '192.0.2.1',
    'First host': '10',
  });
  await page.getByRole('button', { name: 'Save the ways' }).click();
  await saved(page);
  const addresses = page.getByRole('region', { name: 'Addresses of Hall' });
  await expect(addresses).toContainText('192.0.2.0/27 has room for 21');
  await expect(margins).toContainText('Addresses of the Ethernet');
  await fill(row, { 'Units on it': '18', Network: '192.0.2' });
  await page.getByRole('button', { name: 'Save the ways' }).click();
  await expect(row.getByText('Write four numbers, as 192.0.2.0.')).toBeVisible();
  await fill(row, { Network: '192.0.2.0' });
  await page.getByRole('button', { name: 'Save the ways' }).click();
  await saved(page);
  await expect(addresses.getByRole('listitem').last()).toContainText('192.0.2.27');
  // A radio link of which little is said is not known, and its next step leads back here.
  await page.getByRole('button', { name: 'Add to: radio links' }).click();
  await fill(page.getByRole('group', { name: 'Radio links, 1' }), { Called: 'Gate house', Distance: '50' });
  await page.getByRole('button', { name: 'Save the ways' }).click();
  await saved(page);
  await expect(margins).toContainText('Margin of the radio link');

  // Tried, it is part of the bus gate of the next release: every unit that the plan has.
  const tests = page.getByRole('region', { name: 'Tried' });
  await expect(tests).toContainText('has no Ethernet, radio link or carrier to try');
  await page.getByRole('button', { name: 'Release …' }).click();
  await page.getByLabel('Released by').fill('Rosa Vahl');
  await page.getByRole('button', { name: /Release revision/ }).click();
  await signOn(page);
  await tests.getByText('Put a trial on the record').click();
  await fill(tests, { 'Units that answered': '17', 'Came back from the unit': '100' });
  await tests.getByRole('button', { name: 'Record the trial' }).click();
  await expect(tests).toContainText('17 of 18 answer over Hall');
});
