// ./yard oracle FILE: writes every answer of the demo sites, the bench site and 200 random designs, to be compared before and after code moves.
import { writeFileSync } from 'node:fs';
import { withModule } from '../viteNode.mjs';

const file = process.argv[2];
if (!file) {
  console.error('yard: name the file to write, as: ./yard oracle before.txt; then compare two with diff.');
  process.exit(1);
}
await withModule('/scripts/oracle/dump.ts', ({ dump }) => {
  const lines = dump();
  writeFileSync(file, `${lines.join('\n')}\n`);
  console.log(`${lines.length} answers in ${file}`);
});
process.exit(0);
