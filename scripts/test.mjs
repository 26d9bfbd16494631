// ./yard test: everything, in the order in which a failure is cheapest to find.
import { spawnSync } from 'node:child_process';
import { ensureBuilt } from './build.mjs';

const steps = [
  { name: 'types', script: 'check' },
  { name: 'lint', script: 'lint' },
  { name: 'dependency rule', script: 'rule' },
  { name: 'unit tests', script: 'unit' },
  { name: 'build', script: null },
  { name: 'database tests', script: 'db' },
  { name: 'browser tests', script: 'e2e' },
];
const only = process.argv.slice(2).join(' ');
const failed = [];
let passed = 0;
for (const { name, script } of steps) {
  if (only && !name.includes(only)) continue;
  console.log(`\n== ${name}`);
  const started = Date.now();
  let ok = true;
  if (script === null) {
    try {
      await ensureBuilt();
    } catch {
      ok = false;
    }
  } else ok = spawnSync('npm', ['run', '-s', script], { stdio: 'inherit' }).status === 0;
  if (ok) passed += 1;
  else failed.push(name);
  console.log(`-- ${name}: ${ok ? 'passed' : 'FAILED'} (${((Date.now() - started) / 1000).toFixed(0)} s)`);
}
console.log(failed.length ? `\nFailed: ${failed.join(', ')}` : '\nEverything passed.');
console.log(`${passed} passed, ${failed.length} failed`);
process.exit(failed.length || !passed ? 1 : 0);
