import type { Chain, ChainDevice } from './part';

/** Whether a device has an address and is asked: a logger asks, a repeater only passes on. */
export const isUnit = ({ kind }: Pick<ChainDevice, 'kind'>): boolean => kind === 'inverter' || kind === 'meter';
export const isRepeater = ({ kind }: Pick<ChainDevice, 'kind'>): boolean => kind === 'repeater';

/** A repeater as the pair behind it sees it: its other side. */
const otherSide = (repeater: ChainDevice): ChainDevice => ({ ...repeater, terminated: repeater.terminatedBeyond });

/** Where the pair behind a repeater is biased: at the repeater, its first device, where that does so. */
const biasBehind = ({ biasedBeyond }: ChainDevice): Chain['line']['biasAt'] =>
  biasedBeyond === null ? null : biasedBeyond ? 'first device' : 'nowhere';

/**
 * The pairs of a bus, in order: a repeater is the last device of one and, with its other side, the first of the next, each with its own terminators,
 * loads and bias. One where no repeater stands.
 */
export function segmentsOf(bus: Chain): readonly Chain[] {
  const starts = [0, ...bus.devices.flatMap((d, i) => (isRepeater(d) && i > 0 ? [i] : []))];
  return starts.map((start, n) => {
    const [first, ...rest] = bus.devices.slice(start, (starts[n + 1] ?? bus.devices.length - 1) + 1);
    return n === 0 || !first
      ? { ...bus, devices: first ? [first, ...rest] : [] }
      : { ...bus, line: { ...bus.line, biasAt: biasBehind(first) }, devices: [otherSide(first), ...rest] };
  });
}
