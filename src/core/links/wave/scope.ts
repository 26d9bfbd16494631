import type { Bus, BusNetwork, Faults } from './bus';
import { networkOf, stepOf } from './bus';
import type { Heard, HeardVerdict } from './heard';
import { Listener, worseVerdict } from './heard';
import type { Driver } from './network';
import type { StepResponse } from './stepResponse';
import { stepResponse } from './stepResponse';

/**
 * Two drivers between which all lie: the weak one shows loss, the strong one ringing (TIA/EIA-485-A for the weak one's levels, the rest
 * common practice).
 */
export const CORNERS = {
  weak: { openV: 2.5, ohm: 36, riseNs: 100 },
  strong: { openV: 5, ohm: 15, riseNs: 20 },
} as const satisfies Readonly<Record<string, Driver>>;
export type Corner = keyof typeof CORNERS;
const CORNER_NAMES = ['weak', 'strong'] as const;

/** Bit rates at which a bus is tried, bit/s. */
const TRIED_RATES = [9600, 19_200, 38_400, 57_600, 115_200, 250_000, 500_000, 1_000_000] as const;

/** What one device hears, or is heard as. */
export interface DeviceScope {
  readonly device: number;
  readonly corner: Corner;
  /** `out`: the asker drives and the device listens; `back`: the device drives and the asker listens. */
  readonly way: 'out' | 'back';
  readonly heard: Heard;
}
export interface BusScope {
  readonly stepNs: number;
  readonly bitRate: number;
  /** Every device but the asker, with the worst of both corners and both ways at the bit rate. */
  readonly devices: readonly (DeviceScope & { readonly passesTo: number | null })[];
  readonly verdict: HeardVerdict;
  /** The highest rate up to which all pass; null: not even the lowest of those tried. */
  readonly passesTo: number | null;
  /** Step responses where the asker drives, by corner, at every device, V. */
  readonly out: Readonly<Record<Corner, readonly Float64Array[]>>;
}

interface Listened extends Omit<DeviceScope, 'heard'> {
  readonly listener: Listener;
}

const turnedBy = (volts: Float64Array, turn: boolean) => (turn ? volts.map((v) => -v) : volts);

/** What the asker's step leaves at every device. */
function outward({ network, nodeOf, turned }: BusNetwork, asker: number, corner: Corner, stepNs: number): StepResponse {
  const at = nodeOf[asker] as number;
  const answer = stepResponse(network, { ...CORNERS[corner], at }, nodeOf, stepNs);
  const own = turned[asker] === true;
  return { stepNs, volts: answer.volts.map((v, i) => turnedBy(v, own !== (turned[i] === true))) };
}

/** What a device's step leaves at the asker. */
function backward(
  { network, nodeOf, turned }: BusNetwork,
  from: number,
  asker: number,
  corner: Corner,
  stepNs: number,
): Float64Array {
  const watched = [nodeOf[asker] as number];
  const { volts } = stepResponse(network, { ...CORNERS[corner], at: nodeOf[from] as number }, watched, stepNs);
  return turnedBy(volts[0] as Float64Array, turned[from] !== turned[asker]);
}

/**
 * The bus through a scope: how each device hears the one that asks and is heard by it, between a weak and a strong driver, at a bit rate, and
 * up to which rate all of them pass. `ways`: both, or only outwards. Skin effect, the release of an idle pair and noise are left out, the
 * drivers are assumed: a fail names a weakness at a corner, a pass that no reason was found on paper.
 */
export function busScope(
  bus: Bus,
  faults: Faults,
  bitRate: number,
  {
    ways = 'both',
    stepNs = stepOf(bus),
    onShare,
  }: {
    readonly ways?: 'both' | 'out';
    readonly stepNs?: number;
    /** How far it is, 0…1. */
    readonly onShare?: (share: number) => void;
  } = {},
): BusScope {
  const laid = networkOf(bus, faults, stepNs);
  const others = bus.unitLoads.flatMap((_, i) => (i === bus.asker ? [] : [i]));
  const [weak, strong] = CORNER_NAMES.map((corner) => outward(laid, bus.asker, corner, stepNs).volts);
  const out = { weak: weak ?? [], strong: strong ?? [] };
  const listened = others.map((device, done): Listened[] => {
    onShare?.(done / others.length);
    return CORNER_NAMES.flatMap((corner): Listened[] => [
      { device, corner, way: 'out', listener: new Listener(out[corner][device] as Float64Array, stepNs) },
      ...(ways === 'both'
        ? [
            {
              device,
              corner,
              way: 'back' as const,
              listener: new Listener(backward(laid, device, bus.asker, corner, stepNs), stepNs),
            },
          ]
        : []),
    ]);
  });
  const worstAt = (rate: number) =>
    listened.map((of) =>
      of
        .map(({ listener, ...l }): DeviceScope => ({ ...l, heard: listener.at(rate) }))
        .reduce((a, b) => (worseVerdict(a.heard.verdict, b.heard.verdict) === a.heard.verdict ? a : b)),
    );
  const devices = worstAt(bitRate);
  const passing = TRIED_RATES.map((rate) => worstAt(rate).map((d) => d.heard.verdict === 'pass'));
  /** The highest rate below the first that does not do. */
  const upTo = (does: (passes: readonly boolean[]) => boolean): number | null => {
    const fails = passing.findIndex((passes) => !does(passes));
    return TRIED_RATES[(fails < 0 ? TRIED_RATES.length : fails) - 1] ?? null;
  };
  return {
    stepNs,
    bitRate,
    devices: devices.map((d, i) => ({ ...d, passesTo: upTo((passes) => passes[i] === true) })),
    verdict: devices.reduce<HeardVerdict>((worst, d) => worseVerdict(worst, d.heard.verdict), 'pass'),
    passesTo: upTo((passes) => passes.every(Boolean)),
    out,
  };
}
