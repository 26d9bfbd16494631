// Benchmarks: median of runs, one line a figure: name, value, unit, reference, ratio to it in the same run.
import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { ensureBuilt } from '../scripts/build.mjs';
import { withModule } from '../scripts/viteNode.mjs';

const line = (...cells) => console.log(cells.join('\t'));
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

await withModule('/bench/site.ts', ({ bigSite, assessSite, DISCIPLINES, applyEdit, layoutStrings, verifyLayout }) => {
  const design = bigSite();
  const whole = medianMs(() => assessSite(design));
  const copy = medianMs(() => structuredClone(design));
  line('assessSite.calls', digits(1000 / whole), '1/s', 'structuredClone of the same design', digits(copy / whole));
  for (const [name, assess] of Object.entries(DISCIPLINES)) {
    const own = medianMs(() => assess(design));
    line(`assessSite.${name}`, digits(own), 'ms', 'assessSite', digits(own / whole));
  }
  const [a, b] = design.strings;
  const move = () => assessSite(applyEdit(design, { kind: 'hang-string', stringId: a.id, place: b.place }));
  const moved = medianMs(move);
  line('moveAndAssess', digits(moved), 'ms', 'limit of 100 ms a move', digits(moved / 100));
  const laid = medianMs(() => layoutStrings(design), 9);
  line('layoutStrings', digits(laid), 'ms', 'assessSite', digits(laid / whole));
  const verified = medianMs(() => verifyLayout(design), 9);
  line('verifyLayout', digits(verified), 'ms', 'assessSite', digits(verified / whole));
});

/** First load of a route: the JavaScript its page names, with what that imports, brotli as served. */
function firstLoad() {
  ensureBuilt();
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

firstLoad();
process.exit(0);
