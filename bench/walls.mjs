// Places on walls: time of the worked walls on a grid of 50 mm, and what is left between the best and the bound where time is up.
import { withBuilt } from './built.mjs';

const line = (...cells) => console.log(cells.join('\t'));
const digits = (x) => String(Number(x.toPrecision(4)));
const clock = (timeLimitS) => ({ nowS: () => performance.now() / 1000, timeLimitS });
const RUNS = 5;

await withBuilt('bench/walls.ts', async ({ WALLS, MIXED, FOUR, TWENTY_FOUR, wallLayout, wallsLayout, solverOf }) => {
  const solver = await solverOf();
  const gap = ({ cost, bound }) => (100 * (cost - bound)) / cost;
  for (const [name, problem] of Object.entries(WALLS)) {
    const limitS = name.startsWith('mixed') ? 10 : 2;
    const times = [];
    let layout;
    for (let i = 0; i < RUNS; i++) {
      const began = performance.now();
      layout = wallLayout(problem, clock(limitS));
      times.push((performance.now() - began) / 1000);
    }
    const middle = times.sort((a, b) => a - b)[RUNS >> 1];
    line(`walls.${name}`, digits(middle), 's', `limit of ${limitS} s, ${layout.proof}`, digits(middle / limitS));
  }
  for (const [name, problem] of Object.entries(MIXED)) {
    const alone = wallLayout(problem, clock(10));
    const began = performance.now();
    const both = wallLayout(problem, { ...clock(10), solver });
    const s = (performance.now() - began) / 1000;
    line(`walls.${name}`, digits(s), 's', `limit of 10 s, ${both.proof}`, digits(s / 10));
    line(`walls.${name}, cable`, digits(both.cost), 'mm', 'search alone', digits(both.cost / alone.cost));
    line(`walls.${name}, above the bound`, digits(gap(both)), '%', 'search alone', digits(gap(both) / gap(alone)));
  }
  const began = performance.now();
  const layout = wallsLayout(FOUR, TWENTY_FOUR, { ...clock(20), solver });
  const s = (performance.now() - began) / 1000;
  line('walls.24 units on four walls', digits(s), 's', `limit of 20 s, ${layout.proof}`, digits(s / 20));
  line(
    'walls.24 units on four walls, above the bound',
    digits(gap(layout)),
    '%',
    'the bound',
    digits(layout.cost / layout.bound),
  );
});
