import { expect, test as base } from '@playwright/test';

export { expect };

/** A test in whose pages nothing fails unseen: what a page throws, and what its framework warns of, fails it. */
export const test = base.extend({
  context: async ({ context }, use) => {
    const failed: string[] = [];
    context.on('weberror', (error) => failed.push(error.error().message));
    context.on('console', (said) => {
      if (said.text().includes('svelte.dev/e/')) failed.push(said.text());
    });
    await use(context);
    expect(failed, 'what the page threw, or its framework warned of').toEqual([]);
  },
});
