// Writes docs/rules.md from the rules themselves.
import { writeFileSync } from 'node:fs';
import { withModule } from './viteNode.mjs';

await withModule('/src/core/proving/ruleBookPage.ts', ({ ruleBookPage }) => {
  writeFileSync('docs/rules.md', ruleBookPage());
  console.log('docs/rules.md');
});
process.exit(0);
