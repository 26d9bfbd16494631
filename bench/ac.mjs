// The AC side: candidates for sixty runs, the whole voltage picture, what mends it, and the hours of a year in which units trip.
import { readFileSync } from 'node:fs';
import { withBuilt } from './built.mjs';

const RUNS = 7;
const digits = (x) => String(Number(x.toPrecision(4)));

/** Prints what a call costs in the middle of its runs, and gives what it answers. */
function timed(name, limitMs, run) {
  const runs = Array.from({ length: RUNS }, () => {
    const began = performance.now();
    const answer = run();
    return { answer, ms: performance.now() - began };
  }).sort((a, b) => a.ms - b.ms);
  const { answer, ms } = runs[RUNS >> 1];
  console.log([`ac.${name}`, digits(ms), 'ms', `limit of ${limitMs} ms`, digits(ms / limitMs)].join('\t'));
  return answer;
}

await withBuilt(
  'bench/ac.ts',
  ({ sixtyRuns, allCandidates, pathOf, wholePicture, allMends, yearOf, drumPlan, twoHundredCuts }) => {
    const d = sixtyRuns();
    const results = pathOf(d);
    timed('candidates for 60 runs', 300, () => allCandidates(d));
    timed('whole voltage picture, 60 units', 50, () => wholePicture(results));
    timed('what mends it, 60 units', 300, () => allMends(d, results));
    const cuts = twoHundredCuts();
    const plan = timed('drums for 200 cuts', 2000, () =>
      drumPlan(cuts, 250, [], { timeLimitS: 1.9, nowS: () => performance.now() / 1000 }),
    );
    console.log(
      [
        'ac.drums for 200 cuts, new drums',
        plan.newDrums,
        'drums',
        `at least ${plan.atLeast}`,
        digits(plan.newDrums / plan.atLeast),
      ].join('\t'),
    );
    const project = JSON.parse(readFileSync('demo/tarnholm-ice-rink.project.json', 'utf8'));
    timed('a year of trips, eight units: any day of it', 500, () => yearOf(project));
  },
);
