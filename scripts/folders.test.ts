import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { ESLint } from 'eslint';
import { afterEach, expect, it } from 'vitest';

/** A tree with these files, judged by the project's own dependency rule. */
let tree = '';
afterEach(() => rmSync(tree, { recursive: true, force: true }));
function broken(files: Readonly<Record<string, string>>): string[] {
  mkdirSync('.yard', { recursive: true });
  tree = mkdtempSync(path.resolve('.yard/planted-'));
  symlinkSync(path.resolve('node_modules'), path.join(tree, 'node_modules'));
  for (const [file, text] of Object.entries(files)) {
    const at = path.join(tree, 'src', file);
    mkdirSync(path.dirname(at), { recursive: true });
    writeFileSync(at, text);
  }
  const bin = path.resolve('node_modules/dependency-cruiser/bin/dependency-cruise.mjs');
  const args = [bin, '--config', path.resolve('.dependency-cruiser.cjs'), '--output-type', 'json', 'src'];
  const { stdout } = spawnSync('node', args, { cwd: tree, encoding: 'utf8' });
  const { summary } = JSON.parse(stdout) as { summary: { violations: { rule: { name: string } }[] } };
  return [...new Set(summary.violations.map((v) => v.rule.name))].sort();
}
const exports = 'export const x = 1;\n';
const imports = (from: string) => `import { x } from '${from}';\nexport const y = x;\n`;

it('a new discipline is held from its first file: it knows what lies below and itself, nobody else', () => {
  const files = { 'core/kernel/a.ts': exports, 'core/ac/a.ts': exports, 'core/design/a.ts': exports };
  expect(broken({ ...files, 'core/newcomer/rules/a.ts': imports('../../kernel/a') })).toEqual([]);
  rmSync(tree, { recursive: true });
  expect(
    broken({ ...files, 'core/newcomer/a.ts': imports('../ac/a'), 'core/other/a.ts': imports('../design/a') }),
  ).toEqual(['newcomer-shares-only-below', 'other-shares-only-below']);
}, 60_000);

it('layers know only what lies below them, and a type counts as well', () => {
  expect(
    broken({
      'core/site/a.ts': 'export type X = 1;\n',
      'core/kernel/a.ts': "import type { X } from '../site/a';\nexport type Y = X;\n",
    }),
  ).toEqual(['kernel-knows-only-below']);
}, 60_000);

it('core takes no package and no server, and a school is asked through its door', () => {
  expect(
    broken({
      'core/newcomer/a.ts': "import { pino } from 'pino';\nexport const y = pino;\n",
      'core/conductor/schools/iec/index.ts': exports,
      'core/newcomer/b.ts': imports('../conductor/schools/iec'),
    }),
  ).toEqual(['core-is-pure', 'schools-behind-one-door']);
}, 60_000);

it.each([
  ['Date.now()', 'no-restricted-properties'],
  ['Math.random()', 'no-restricted-properties'],
  ["fetch('x')", 'no-restricted-globals'],
])(
  'lint keeps %s out of a folder of core that is new',
  async (code, rule) => {
    const [result] = await new ESLint().lintText(`export const x = () => ${code};\n`, {
      filePath: 'src/core/newcomer/planted.ts',
    });
    expect(result?.messages.map((m) => m.ruleId)).toEqual([rule]);
  },
  60_000,
);
