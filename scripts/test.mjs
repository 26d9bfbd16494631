// ./yard test: everything, in the order in which a failure is cheapest to find.
import { spawnSync } from 'node:child_process';
import { ensureBuilt } from './build.mjs';

const steps = [
  ['types', 'npm', ['run', '-s', 'check']],
  ['lint', 'npm', ['run', '-s', 'lint']],
  ['dependency rule', 'npm', ['run', '-s', 'rule']],
  ['unit tests', 'npm', ['run', '-s', 'unit']],
  ['build', null, null],
  ['database tests', 'npm', ['run', '-s', 'db']],
  ['browser tests', 'npm', ['run', '-s', 'e2e']],
];
const only = process.argv.slice(2).join(' ');
const failed = [];
let passed = 0;
for (const [name, command, args] of steps) {
  if (only && !name.includes(only)) continue;
  console.log(`\n== ${name}`);
  const started = Date.now();
  let ok = true;
  if (command === null) {
    try {
      await ensureBuilt();
    } catch {
      ok = false;
    }
  } else ok = spawnSync(command, args, { stdio: 'inherit' }).status === 0;
  if (ok) passed += 1;
  else failed.push(name);
  console.log(`-- ${name}: ${ok ? 'passed' : 'FAILED'} (${((Date.now() - started) / 1000).toFixed(0)} s)`);
}
console.log(failed.length ? `\nFailed: ${failed.join(', ')}` : '\nEverything passed.');
console.log(`${passed} passed, ${failed.length} failed`);
process.exit(failed.length || !passed ? 1 : 0);
