// What the record of a large site costs: in Node, where the server admits entries, and in Chromium, where a crew waits for its log.
// Prints lines like bench/run.mjs, which calls it.
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../scripts/browser.mjs';
import { withBuilt, withScript } from './built.mjs';

const line = (...cells) => console.log(cells.join('\t'));
const digits = (x) => String(Number(x.toPrecision(4)));
const COLD_MOST_MS = 150;
const MORE_MOST_MS = 10;

const inNode = () => withBuilt('bench/record.ts', (m) => m.timings());

const inPage = () =>
  withScript('bench/record.ts', 'record', async (script) => {
    const browser = await chromium.launch(CHROMIUM);
    try {
      const page = await browser.newPage();
      await page.addScriptTag({ path: script });
      return await page.evaluate(() => globalThis.record.timings());
    } finally {
      await browser.close();
    }
  });

for (const [where, t] of [
  ['in Node', await inNode()],
  ['in Chromium', await inPage()],
])
  for (const [what, ms, most] of [
    ['the very first, 20 000 entries', t.firstMs, COLD_MOST_MS],
    ['cold, 20 000 entries', t.coldMs, COLD_MOST_MS],
    ['one more entry', t.oneMoreMs, MORE_MOST_MS],
    ['one more entry, an hour late', t.lateMs, MORE_MOST_MS],
  ])
    line(`evidence.${what}, ${where}`, digits(ms), 'ms', `limit of ${most} ms`, digits(ms / most));
