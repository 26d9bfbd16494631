import type { ChainResult } from '../links/results';
import { FIRST_BUS } from '../links/buses';
import { chainResult } from '../links/results';
import type { ChainDevice } from '../links/part';
import type { BusLine } from '../links/line/busLine';
import { UNKNOWN_LINE } from '../links/line/busLine';
import { WHOLE_LINE, siteOf } from './examples';

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
  return chainResult({ ...d, chain: { ...d.chain, bitRate, devices, line: line ?? UNKNOWN_LINE } }, FIRST_BUS);
}
