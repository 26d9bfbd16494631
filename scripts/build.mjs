// Builds when a source is newer than the build.
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync } from 'node:fs';
import path from 'node:path';

function newest(at) {
  const s = statSync(at);
  return s.isDirectory()
    ? Math.max(s.mtimeMs, ...readdirSync(at).map((name) => newest(path.join(at, name))))
    : s.mtimeMs;
}

export function ensureBuilt() {
  const sources = ['src', 'static', 'package-lock.json', 'svelte.config.js', 'vite.config.ts'];
  const made = 'build/index.js';
  if (existsSync(made) && statSync(made).mtimeMs > Math.max(...sources.map(newest))) return;
  console.log('Building');
  const built = spawnSync('node', ['node_modules/vite/bin/vite.js', 'build', '--logLevel', 'error'], {
    encoding: 'utf8',
  });
  if (built.status === 0) return;
  process.stderr.write(`${built.stdout}${built.stderr}`);
  throw new Error('The build failed; its own words are above.');
}
