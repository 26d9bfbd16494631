// Times the assessment of the 60-unit site and of one moved tag, in the project of the working folder: one line of JSON.
import { withBuilt } from './built.mjs';

const median = (times) => times.sort((a, b) => a - b)[times.length >> 1];
function timed(call, runs) {
  for (let i = 0; i < 8; i++) call();
  return median(
    Array.from({ length: runs }, () => {
      const started = performance.now();
      call();
      return performance.now() - started;
    }),
  );
}

await withBuilt('bench/site.ts', (m) => {
  const design = m.bigSite();
  const coldMs = timed(() => m.assessSite({ ...design }), 31);
  const memo = m.newMemo();
  let current = design;
  let n = 0;
  const movedMs = timed(() => {
    const [a, b] = [current.strings[n % 1440], current.strings[(n * 7 + 720) % 1440]];
    n += 1;
    current = m.applyEdit(current, { kind: 'hang-string', stringId: a.id, place: b.place });
    m.assessSite(current, memo);
  }, 60);
  console.log(JSON.stringify({ checks: m.assessSite(design).checks.length, coldMs, movedMs }));
});
process.exit(0);
