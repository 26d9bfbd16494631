// A TypeScript module of the project, built as the server or as the pages are built: what is timed is the code that people run.
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'vite';

/** Built for Node and imported. */
export const withBuilt = (file, use) =>
  built(
    (outDir) => ({ ssr: file, outDir, rollupOptions: { output: { entryFileNames: 'built.js' } } }),
    async (script) => use(await import(pathToFileURL(script).href)),
  );

/** Built for a page: the path of one script that leaves what the module exports in `globalThis[name]`. */
export const withScript = (file, name, use) =>
  built((outDir) => ({ lib: { entry: file, name, formats: ['iife'], fileName: () => 'built.js' }, outDir }), use);

async function built(how, use) {
  mkdirSync('.yard', { recursive: true });
  const outDir = mkdtempSync(path.resolve('.yard/bench-'));
  try {
    await build({
      configFile: false,
      logLevel: 'error',
      resolve: { alias: { $core: path.resolve('src/core'), $lib: path.resolve('src/lib') } },
      build: { ...how(outDir), minify: false },
    });
    return await use(path.join(outDir, 'built.js'));
  } finally {
    rmSync(outDir, { recursive: true, force: true });
  }
}
