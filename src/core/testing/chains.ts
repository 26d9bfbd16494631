import type { ChainResult } from '../links/results';
import { linksResults } from '../links/results';
import type { ChainDevice } from '../links/part';
import type { BusLine } from '../links/line/busLine';
import { siteOf } from './examples';

/** A pair of which everything is known: 0.5 mm², two terminators of 120 Ω, biased at the first device, well off the power cables. */
const WHOLE_LINE: BusLine = {
  areaMm2: 0.5,
  conductorC: 20,
  impedanceOhm: 120,
  delayNsPerM: 6,
  terminatorOhm: 120,
  biasAt: 'first device',
  pullUpOhm: 560,
  pullDownOhm: 560,
  biasV: 5,
  failSafe: false,
  separationBy: '200 mm',
  separationMm: 300,
  barrier: null,
  cableClass: null,
  powerCircuits: null,
};

/** A chain of so many devices over so many metres of cable, everything of it known: measured hops of the same length, in–out, ends terminated. */
export const wholeChain = (
  units: number,
  cableM: number,
  line: Partial<BusLine> = {},
  over: (device: ChainDevice, index: number) => Partial<ChainDevice> = () => ({}),
): ChainResult =>
  chainOf(
    units,
    (d, i) => ({
      terminated: i === 0 || i === units - 1,
      stubM: 0,
      entryM: 0,
      ...(i === 0 ? {} : { hopM: cableM / (units - 1) / 1.05, hopFromId: `dev-inv-${i}` }),
      ...over(d, i),
    }),
    9600,
    { ...WHOLE_LINE, ...line },
  );

/** The chain of a site of like units at 9600 bit/s, numbered and terminated, with what a test wants changed in each device. */
export function chainOf(
  units: number,
  over: (device: ChainDevice, index: number) => Partial<ChainDevice> = () => ({}),
  bitRate: ChainResult['chain']['bitRate'] = 9600,
  line?: BusLine,
): ChainResult {
  const d = siteOf(units, []);
  const devices = d.chain.devices.map((c, i) => ({ ...c, ...over(c, i) }));
  return linksResults({ ...d, chain: { ...d.chain, bitRate, devices, line: line ?? d.chain.line } });
}
