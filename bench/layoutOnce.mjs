// One layout of a benchmark site, alone in its process: node bench/layoutOnce.mjs roofs20 10
import highsLoader from 'highs';
import { withBuilt } from './built.mjs';

const [which, limitS] = [process.argv[2], Number(process.argv[3])];
await withBuilt('bench/layouts.ts', async (m) => {
  const design = m[which]();
  const { problem } = m.layoutProblem(design, 'preferred');
  m.startLayout(problem);
  const began = performance.now();
  const start = m.startLayout(problem);
  m.assignInputs(problem, start.counts);
  const startMs = performance.now() - began;
  const solver = m.highsSolver(await highsLoader());
  const { counts, ...solved } = m.levelSearch(problem, solver, {
    timeLimitS: limitS,
    nowS: () => performance.now() / 1000,
  });
  const strings = counts.reduce((sum, c) => sum + c.strings, 0);
  console.log(JSON.stringify({ startMs, strings, solved, rssMiB: process.memoryUsage().rss / 2 ** 20 }));
});
process.exit(0);
