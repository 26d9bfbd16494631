import type { ChainResult } from '../links/results';
import { linksResults } from '../links/results';
import type { ChainDevice } from '../links/part';
import { siteOf } from './examples';

/** The chain of a site of like units at 9600 bit/s, numbered and terminated, with what a test wants changed in each device. */
export function chainOf(
  units: number,
  over: (device: ChainDevice, index: number) => Partial<ChainDevice> = () => ({}),
  bitRate: ChainResult['chain']['bitRate'] = 9600,
): ChainResult {
  const d = siteOf(units, []);
  return linksResults({ ...d, chain: { bitRate, devices: d.chain.devices.map((c, i) => ({ ...c, ...over(c, i) })) } });
}
