// A TypeScript module of the project, built as the server is built: what is timed is the code that people run.
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'vite';

export async function withBuilt(file, use) {
  mkdirSync('.yard', { recursive: true });
  const outDir = mkdtempSync(path.resolve('.yard/bench-'));
  try {
    await build({
      configFile: false,
      logLevel: 'error',
      resolve: { alias: { $core: path.resolve('src/core'), $lib: path.resolve('src/lib') } },
      build: { ssr: file, outDir, minify: false, rollupOptions: { output: { entryFileNames: 'built.js' } } },
    });
    return await use(await import(pathToFileURL(path.join(outDir, 'built.js')).href));
  } finally {
    rmSync(outDir, { recursive: true, force: true });
  }
}
