// Stand-ins: a scan of sixty of them at their own pause, and what eight buses of sixty cost while their seconds go by.
import { freePort } from '../scripts/ports.mjs';
import { withBuilt } from './built.mjs';

const TICKS = 61;
const digits = (x) => String(Number(x.toPrecision(4)));
const line = (...cells) => console.log(cells.join('\t'));
const addresses = Array.from({ length: 60 }, (_, i) => i + 1);

await withBuilt('bench/field.ts', async ({ DEFAULT_FLEET, portsOf, FieldBus, scanned, runFleet, Fleet }) => {
  const port = await freePort(3);
  const bus = { addresses, meter: false, bitRate: 9600, faults: [] };
  const fleet = await runFleet({ ...DEFAULT_FLEET, buses: [bus] }, port);
  const field = await FieldBus.open(portsOf(port, 0).rtu, 'RTU over TCP', 300);
  const plan = addresses.map((address) => ({ address, serial: null, label: String(address) }));
  let took = NaN;
  let found = 0;
  for await (const said of scanned(field, plan, { times: 1, all: false }, new AbortController().signal))
    if ('done' in said) [took, found] = [said.done.tookS, said.done.findings.filter((f) => f.serials.length).length];
  field.close();
  await fleet.close();
  if (found !== 60) throw new Error(`${found} of 60 found`);
  line('field.scan of 60 stand-ins, 9600 bit/s, pause 50 ms', digits(took), 's', 'limit of 10 s', digits(took / 10));

  const many = new Fleet({ ...DEFAULT_FLEET, buses: Array.from({ length: 8 }, () => bus) });
  const times = Array.from({ length: TICKS }, () => {
    const began = performance.now();
    many.tick();
    return performance.now() - began;
  }).sort((a, b) => a - b);
  const share = times[TICKS >> 1] / 10;
  line(
    'field.fleet of 8 × 60 units, a second of it',
    digits(share),
    '% of a core',
    'limit of 10 %',
    digits(share / 10),
  );
});
