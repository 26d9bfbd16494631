// ./yard mutants [PATTERN]: wrong code in rules and limits, and which of it the tests of core would let through.
// Works on a copy of core in .yard/mutants, so that a run cut short leaves no wrong code behind.
import { spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import path from 'node:path';

const WHERE = path.resolve('.yard/mutants');
const REPORT = path.resolve('.yard/mutants.json');
const INCREMENTAL = path.resolve('.yard/mutants-incremental.json');

/** Rules, and the arithmetic that sets their limits. */
const MUTATE = [
  'src/core/*/rules/*/*.ts',
  'src/core/strings/{dcLimit,legalLimit,coldVoltage,currents,fuses,dcAcRatio,homeRun,onInput}.ts',
  'src/core/strings/verify/*.ts',
  'src/core/ac/{torque,palmGap,gland,designCurrent,voltage,limits,boardLoad,suggestRun,wiring}.ts',
  'src/core/links/{chain,edits}.ts',
  'src/core/site/{gridCodes,boardVoltage,nominalVoltage,temperatureQuestions,position}.ts',
  'src/core/equipment/{inverterSheet,sheetFinding}.ts',
  'src/core/kernel/{rule,judgement,rounding,siteDay}.ts',
  'src/core/proving/{evidence,order,measure,kinds}/*.ts',
  'src/core/proving/gates/{machine,net,states}.ts',
  'src/core/proving/{evidence,door,zones,weather,openNow,releaseCost,judging,insulation,acVoltages,likeness,stringCauses}.ts',
  '!src/core/**/*.test.ts',
  '!src/core/**/index.ts',
];
/** Tests that stand at the edges; the long searches of layout and year tell nothing about a limit. */
const TESTS = ['src/core/**/*.test.ts'];
const LONG = [
  'src/core/strings/{layout,year,curve}/**',
  'src/core/{sun,weather}/**',
  'src/core/design/edition.test.ts',
  // Thousands of random designs: they find what nobody thought of, and take their time.
  'src/core/*/neverFlatters.test.ts',
  'src/core/design/neverThrows.test.ts',
];

/** Random histories for every wrong program, of the model and of what holds whatever the history: enough to meet each sentence of the rules. */
const RANDOM_RUNS = 60;

function copyOfCore() {
  rmSync(WHERE, { recursive: true, force: true });
  mkdirSync(path.join(WHERE, 'docs'), { recursive: true });
  cpSync('src/core', path.join(WHERE, 'src/core'), { recursive: true });
  for (const page of ['rules', 'records']) cpSync(`docs/${page}.md`, path.join(WHERE, `docs/${page}.md`));
  cpSync('package.json', path.join(WHERE, 'package.json'));
  symlinkSync(path.resolve('node_modules'), path.join(WHERE, 'node_modules'));
  const { compilerOptions } = JSON.parse(readFileSync('tsconfig.json', 'utf8'));
  writeFileSync(
    path.join(WHERE, 'tsconfig.json'),
    JSON.stringify({ compilerOptions: { ...compilerOptions, target: 'esnext', module: 'esnext' } }),
  );
  writeFileSync(
    path.join(WHERE, 'vitest.config.mjs'),
    `export default { test: { include: ${JSON.stringify(TESTS)}, exclude: ${JSON.stringify(LONG)}, testTimeout: 120_000, env: { RANDOM_RUNS: '${RANDOM_RUNS}' } } };\n`,
  );
  writeFileSync(
    path.join(WHERE, 'stryker.config.json'),
    JSON.stringify({
      testRunner: 'vitest',
      plugins: ['@stryker-mutator/vitest-runner'],
      inPlace: true,
      mutate: process.argv[2] ? process.argv[2].split(',').concat('!src/core/**/*.test.ts') : MUTATE,
      incremental: true,
      incrementalFile: INCREMENTAL,
      reporters: ['clear-text', 'json', 'progress-append-only'],
      clearTextReporter: { allowColor: false, logTests: false, reportTests: false, reportMutants: false },
      jsonReporter: { fileName: REPORT },
      // A rule's card (id, title, basis, names of needs) is held by docs/rules.md and the edge tests; changed words are not wrong judgement.
      ignoreStatic: true,
      mutator: { excludedMutations: ['StringLiteral'] },
      concurrency: 2,
      timeoutMS: 20_000,
    }),
  );
}

copyOfCore();
const { status } = spawnSync(path.resolve('node_modules/.bin/stryker'), ['run'], { cwd: WHERE, stdio: 'inherit' });
process.exit(status ?? 1);
