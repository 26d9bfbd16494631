// Writes the demo files from demo/make.ts.
import { writeFileSync } from 'node:fs';
import { withModule } from './viteNode.mjs';

await withModule('/demo/make.ts', ({ demoFiles }) => {
  for (const [name, content] of Object.entries(demoFiles())) {
    const pretty = name === 'shelf.json' || !name.startsWith('tarnholm');
    writeFileSync(`demo/${name}`, `${JSON.stringify(content, null, pretty ? 2 : 1)}\n`);
    console.log(`demo/${name}`);
  }
});
process.exit(0);
