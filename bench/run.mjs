// Benchmarks: median of runs, one line a figure: name, value, unit, reference, ratio to it in the same run.
import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { ensureBuilt } from '../scripts/build.mjs';
import { withBuilt } from './built.mjs';

const line = (...cells) => console.log(cells.join('\t'));
const SKY = {
  year: 2025,
  latitudeDeg: 48,
  longitudeDeg: 11,
  utcOffsetH: 1,
  clearness: Array(12).fill(0.6),
  monthlyMeanC: Array(12).fill(9),
  dailyRangeK: 8,
};
const digits = (x) => String(Number(x.toPrecision(4)));

/** Median time of a call, ms. */
function medianMs(call, runs = 25) {
  for (let i = 0; i < 5; i++) call();
  const times = Array.from({ length: runs }, () => {
    const started = performance.now();
    call();
    return performance.now() - started;
  });
  return times.sort((a, b) => a - b)[runs >> 1];
}

/** Figures of one project folder, in a process of its own. */
const assessIn = (folder) =>
  JSON.parse(
    execFileSync('node', [path.resolve('bench/assess.mjs')], { encoding: 'utf8', cwd: folder })
      .trim()
      .split('\n')
      .at(-1),
  );

/** The 60-unit site assessed whole and after one move; with `--beside FOLDER` against another build of the project in the same run. */
function assessments() {
  const at = process.argv.indexOf('--beside');
  const beside = at > 0 ? process.argv[at + 1] : null;
  const runs = Array.from({ length: 3 }, () => ({ own: assessIn('.'), other: beside ? assessIn(beside) : null }));
  const middle = (of) => runs.map(of).sort((a, b) => a - b)[1];
  for (const [name, field, limitMs] of [
    ['assessSite.cold', 'coldMs', 50],
    ['assessSite.one moved tag', 'movedMs', 5],
  ]) {
    const own = middle((r) => r.own[field]);
    const other = beside ? middle((r) => r.other[field]) : limitMs;
    line(
      name,
      digits(own),
      'ms',
      beside ? `the build beside: ${digits(other)} ms` : `limit of ${limitMs} ms`,
      digits(own / other),
    );
  }
  line('assessSite.checks', runs[0].own.checks, '', 'itself', '1');
}
assessments();

await withBuilt('bench/site.ts', (m) => {
  const { bigSite, mixedSite, assessSite, assessDiscipline, DISCIPLINES, legalLayout, verifyLayout } = m;
  const design = bigSite();
  const whole = medianMs(() => assessSite({ ...design }));
  for (const discipline of DISCIPLINES) {
    const own = medianMs(() => assessDiscipline(discipline, { ...design }, m.newMemo()));
    line(`assessSite.${discipline.name}`, digits(own), 'ms', 'assessSite', digits(own / whole));
  }
  const laid = medianMs(() => legalLayout(design), 9);
  line('legalLayout', digits(laid), 'ms', 'assessSite', digits(laid / whole));
  const verified = medianMs(() => verifyLayout(design), 9);
  line('verifyLayout', digits(verified), 'ms', 'assessSite', digits(verified / whole));

  // A year, and the bound that its curve solves set.
  const model = m.moduleModel(m.M575);
  const p = m.parametersAt(model, 700, 40);
  const solves = 20_000;
  const oneUs =
    (1000 *
      medianMs(() => {
        for (let i = 0; i < solves; i++) m.currentAt(p, 30 + (i % 18));
      }, 9)) /
    solves;
  line('currentAt', digits(oneUs), 'us', 'itself', '1');
  const plain = medianMs(() => m.yearOfEnergy(design, { year: 2025, weather: null }), 3);
  line('yearOfEnergy', digits(plain / 1000), 's', 'limit of 5 s', digits(plain / 5000));
  const mixed = mixedSite();
  const mixedMs = medianMs(() => m.yearOfEnergy(mixed, { year: 2025, weather: null }), 3);
  line('yearOfEnergy.mixed', digits(mixedMs / 1000), 's', 'limit of 5 s', digits(mixedMs / 5000));
  line(
    'yearOfEnergy.mismatch share',
    digits((mixedMs - plain) / 1000),
    's',
    'yearOfEnergy.mixed',
    digits((mixedMs - plain) / mixedMs),
  );
  const sky = medianMs(() => {
    for (const hour of m.clearSkyHours({
      year: 2025,
      latitudeDeg: 48,
      longitudeDeg: 11,
      utcOffsetH: 1,
      clearness: Array(12).fill(0.6),
      monthlyMeanC: Array(12).fill(9),
      dailyRangeK: 8,
    }))
      void hour;
  }, 5);
  line('yearOfEnergy.sun and sky share', digits(sky / 1000), 's', 'yearOfEnergy.mixed', digits(sky / mixedMs));
  // Every unlike tracker asks the curves for points: how many, counted, times what one costs, is the least the mixed year can take.
  const points = pointsAYear(m, model);
  const boundMs = (points * oneUs) / 1000;
  line('yearOfEnergy.curve points', digits(points), '', 'itself', '1');
  line(
    'yearOfEnergy.bound by curve points',
    digits(boundMs / 1000),
    's',
    'yearOfEnergy.mixed',
    digits(boundMs / mixedMs),
  );
});

/** Points of curves that a year of the mixed site computes: three kinds of mixed tracker, counted in every 50th state of the year. */
function pointsAYear(m, model) {
  let points = 0;
  const counted = (p) => ({
    ...p,
    get lightA() {
      points += 1;
      return p.lightA;
    },
  });
  const window = { minV: 200, maxV: 1000 };
  let at = 0;
  for (const hour of m.clearSkyHours(SKY)) {
    for (const { light } of hour.states) {
      if (at++ % 50) continue;
      const g = Math.max(1, light.globalWm2);
      const pair = [g, 0.7 * g].map((x) => ({
        parameters: counted(m.parametersAt(model, x, hour.ambientC + 0.03 * x)),
        modules: 17,
      }));
      m.sharedMaximum(pair, window);
    }
  }
  return 50 * 3 * points;
}

/** The layout in a worker thread of its own: time to a legal start, what is proved, memory of the thread's process. */
async function layouts() {
  for (const { which, limitS, gapLimit } of [
    { which: 'roofs20', limitS: 10, gapLimit: 1 },
    { which: 'roofs60', limitS: 60, gapLimit: 2 },
  ]) {
    const { startMs, strings, solved, rssMiB } = JSON.parse(
      execFileSync('node', ['bench/layoutOnce.mjs', which, String(limitS)], { encoding: 'utf8' })
        .trim()
        .split('\n')
        .at(-1),
    );
    line(`layout.${which}.strings`, strings, '', 'itself', '1');
    line(`layout.${which}.legal start`, digits(startMs), 'ms', 'limit of 200 ms', digits(startMs / 200));
    const gap = solved.gap ? solved.gap.percent : 0;
    line(
      `layout.${which}.gap on ${solved.gap?.level ?? 'every level proved'}`,
      digits(gap),
      '%',
      `limit of ${gapLimit} %`,
      digits(gap / gapLimit),
    );
    line(
      `layout.${which}.time`,
      digits(solved.secondsUsed),
      's',
      `limit of ${limitS} s`,
      digits(solved.secondsUsed / limitS),
    );
    line(`layout.${which}.memory`, digits(rssMiB), 'MiB', 'limit of 1024 MiB', digits(rssMiB / 1024));
  }
}
await layouts();

/** First load of a route: the JavaScript its page names, with what that imports, brotli as served. */
function firstLoad() {
  const manifest = JSON.parse(readFileSync('.svelte-kit/output/client/.vite/manifest.json', 'utf8'));
  const size = (file) => {
    const served = path.join('build/client', file);
    return existsSync(`${served}.br`) ? readFileSync(`${served}.br`).length : readFileSync(served).length;
  };
  const closure = (key, seen = new Set()) => {
    if (seen.has(key)) return seen;
    seen.add(key);
    for (const next of manifest[key]?.imports ?? []) closure(next, seen);
    return seen;
  };
  const keys = Object.keys(manifest);
  const shell = keys.filter((k) => /entry|nodes\/0\.js|runtime\/client/.test(k) && manifest[k].isEntry);
  const pages = keys.filter((k) => k.includes('client-optimized/nodes/')).sort();
  const kb = (all) =>
    [...new Set([...all].map((k) => manifest[k].file))]
      .filter((f) => f.endsWith('.js'))
      .reduce((sum, f) => sum + size(f), 0) / 1000;
  const base = new Set(shell.filter((k) => !k.includes('nodes/')).flatMap((k) => [...closure(k)]));
  const root = kb(base);
  line('firstLoad.shell', digits(root), 'kB', 'itself', '1');
  const names = routeNames();
  for (const key of pages) {
    const node = Number(/nodes\/(\d+)/.exec(key)?.[1]);
    const name = names.get(node);
    if (!name) continue;
    const layouts = pages.filter((k) => name.layouts.includes(Number(/nodes\/(\d+)/.exec(k)?.[1])));
    const all = kb(new Set([...base, ...layouts.flatMap((k) => [...closure(k)]), ...closure(key)]));
    line(`firstLoad ${name.route}`, digits(all), 'kB', 'shell', digits(all / root));
  }
}

/** Node number of each page, with its layouts, from the generated client manifest. */
function routeNames() {
  const text = readFileSync('.svelte-kit/generated/client-optimized/app.js', 'utf8');
  const dictionary = /export const dictionary = (\{[\s\S]*?\});/.exec(text)?.[1] ?? '{}';
  const found = new Map();
  for (const [, route, page, layouts] of dictionary.matchAll(/"([^"]+)":\s*\[~?(-?\d+)(?:,\[([\d,]*)\])?/g)) {
    const number = Number(page);
    found.set(number < 0 ? ~number : number, {
      route,
      layouts: [0, ...(layouts ?? '').split(',').filter(Boolean).map(Number)],
    });
  }
  return found;
}

await ensureBuilt();
firstLoad();
execFileSync('node', ['bench/http.mjs'], { stdio: ['ignore', 'inherit', 'inherit'] });
execFileSync('node', ['bench/evidence.mjs'], { stdio: ['ignore', 'inherit', 'inherit'] });
execFileSync('node', ['bench/browser.mjs'], { stdio: ['ignore', 'inherit', 'inherit'] });
process.exit(0);
