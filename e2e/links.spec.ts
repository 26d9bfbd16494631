import { expect, test } from '@playwright/test';
import { demoSite, open, saved } from './helpers';

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
