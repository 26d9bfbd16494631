// The application and, beside it, what runs in threads of its own. As a program it builds; `ensureBuilt` only where a source is newer than the build.
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { build as bundle } from 'vite';

const SOURCES = ['src', 'static', 'package-lock.json', 'svelte.config.js', 'vite.config.ts', 'scripts/build.mjs'];
/** Written last: a build that was cut short is none. */
const MADE = 'build/.made';

function newest(at) {
  const s = statSync(at);
  return s.isDirectory()
    ? Math.max(s.mtimeMs, ...readdirSync(at).map((name) => newest(path.join(at, name))))
    : s.mtimeMs;
}

async function build() {
  const built = spawnSync('node', ['node_modules/vite/bin/vite.js', 'build', '--logLevel', 'error'], {
    encoding: 'utf8',
  });
  if (built.status !== 0) {
    process.stderr.write(`${built.stdout}${built.stderr}`);
    throw new Error('The build failed; its own words are above.');
  }
  for (const [ssr, outDir] of [
    ['src/lib/server/heavy/tasks.ts', 'build/heavy'],
    ['src/standins/main.ts', 'build/standins'],
  ])
    await bundle({
      configFile: false,
      logLevel: 'error',
      resolve: { alias: { $core: path.resolve('src/core'), $lib: path.resolve('src/lib') } },
      build: { ssr, outDir, emptyOutDir: true },
    });
  writeFileSync(MADE, '');
}

export async function ensureBuilt() {
  if (existsSync(MADE) && statSync(MADE).mtimeMs > Math.max(...SOURCES.map(newest))) return;
  console.log('Building');
  // In a process of its own: a test or a development server in this one would make it a development build, larger and slower.
  const { status } = spawnSync('node', ['scripts/build.mjs'], { stdio: 'inherit' });
  if (status !== 0) throw new Error('The build failed; its own words are above.');
}

if (process.argv[1] && import.meta.url === pathToFileURL(process.argv[1]).href) {
  process.env.NODE_ENV = 'production';
  await build();
}
