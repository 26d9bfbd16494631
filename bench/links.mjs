// The chain: fifteen units ordered exactly, two hundred searched for two seconds with their bound.
import { withBuilt } from './built.mjs';

const RUNS = 5;
const digits = (x) => String(Number(x.toPrecision(4)));
const line = (...cells) => console.log(cells.join('\t'));

await withBuilt('bench/links.ts', ({ strewn, shortestChain }) => {
  const nowS = () => performance.now() / 1000;
  const few = strewn(16, 80, 40);
  const times = Array.from({ length: RUNS }, () => {
    const began = performance.now();
    shortestChain(few, null, 1, { kicks: 0, timeLimitS: 1, nowS });
    return performance.now() - began;
  }).sort((a, b) => a - b);
  const ms = times[RUNS >> 1];
  line('links.exact order of 15 units', digits(ms), 'ms', 'limit of 500 ms', digits(ms / 500));

  const found = shortestChain(strewn(201, 400, 200), null, 1, { kicks: Infinity, timeLimitS: 2, nowS });
  const gap = (100 * (found.lengthM - found.boundM)) / found.boundM;
  line('links.order of 200 units in 2 s, over its bound', digits(gap), '%', 'limit of 5 %', digits(gap / 5));
});
