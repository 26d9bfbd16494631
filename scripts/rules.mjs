// Writes docs/rules.md and docs/records.md from the rules and the kinds of record themselves.
import { writeFileSync } from 'node:fs';
import { withModule } from './viteNode.mjs';

const PAGES = {
  'docs/rules.md': ['/src/core/proving/ruleBookPage.ts', (m) => m.ruleBookPage()],
  'docs/records.md': ['/src/core/testing/recordKindsPage.ts', (m) => m.recordKindsPage()],
};
for (const [page, [module, made]] of Object.entries(PAGES)) {
  writeFileSync(page, await withModule(module, made));
  console.log(page);
}
process.exit(0);
