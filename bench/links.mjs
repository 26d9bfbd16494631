// The chain: fifteen units ordered exactly, two hundred searched for two seconds with their bound; the waveform of thirty-one units.
import { withBuilt } from './built.mjs';

const RUNS = 5;
const digits = (x) => String(Number(x.toPrecision(4)));
const line = (...cells) => console.log(cells.join('\t'));

await withBuilt('bench/links.ts', ({ strewn, shortestChain, splitOverBuses, busScope, LONG_BUS }) => {
  const nowS = () => performance.now() / 1000;
  const few = strewn(16, 80, 40);
  const medianMs = (run) =>
    Array.from({ length: RUNS }, () => {
      const began = performance.now();
      run();
      return performance.now() - began;
    }).sort((a, b) => a - b)[RUNS >> 1];
  const ms = medianMs(() => shortestChain(few, null, 1, { kicks: 0, timeLimitS: 1, nowS }));
  line('links.exact order of 15 units', digits(ms), 'ms', 'limit of 500 ms', digits(ms / 500));

  const found = shortestChain(strewn(201, 400, 200), null, 1, { kicks: Infinity, timeLimitS: 2, nowS });
  const gap = (100 * (found.lengthM - found.boundM)) / found.boundM;
  line('links.order of 200 units in 2 s, over its bound', digits(gap), '%', 'limit of 5 %', digits(gap / 5));
  const limits = { buses: 7, mostUnits: 29, mostM: 1200 };
  const strewn200 = strewn(201, 400, 200);
  const split = splitOverBuses(strewn200, limits, 1, { kicks: Infinity, timeLimitS: 2, nowS });
  const cut = splitOverBuses(strewn200, limits, 1, { kicks: 0, timeLimitS: 2, nowS });
  line(
    'links.200 units over 7 buses in 2 s',
    digits(split.lengthM),
    'm',
    `one chain cut at the least cost, ${digits(cut.lengthM)} m; bound ${digits(split.boundM)} m`,
    digits(split.lengthM / cut.lengthM),
  );
  const waveMs = medianMs(() => busScope(LONG_BUS, {}, 9600));
  line(
    'links.waveform of 31 units, two drivers, both ways',
    digits(waveMs),
    'ms',
    'limit of 300 ms',
    digits(waveMs / 300),
  );
});
