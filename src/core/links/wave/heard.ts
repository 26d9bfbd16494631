import { requirePositive } from '../../kernel/require';
import { RECEIVER_V } from '../line/budget';

/** How a receiver fares, the worst first. */
export const HEARD = ['no signal', 'inverted', 'eye', 'settling', 'caution', 'pass'] as const;
export type HeardVerdict = (typeof HEARD)[number];

/** What arrives at one receiver, whatever the bit rate. */
export interface Arrival {
  /** Where the pair comes to rest, V; below 0: inverted. */
  readonly finalV: number;
  /** The highest of the swing from space to mark, V. */
  readonly peakV: number;
  /** Until the swing stays within a tenth of its end, from its arrival on, µs. */
  readonly settleUs: number;
  /** From the first crossing of the threshold until it is crossed no more, µs. */
  readonly validUs: number;
  /** The first crossing of the threshold, from which the receiver counts its bits, µs after the driver; Infinity where there is none. */
  readonly firstUs: number;
}
export interface Heard extends Arrival {
  readonly verdict: HeardVerdict;
  /** Half the opening of the eye at the worst sample, V. */
  readonly eyeV: number;
}

/** Shares of a bit at which a receiver samples: the middle and a sixteenth to either side (common practice). */
const SAMPLED = [7 / 16, 8 / 16, 9 / 16] as const;
/** Opening under which noise is not spoken for, V, and settling that takes more than this share of a bit (common practice). */
const CAUTION_V = 0.3;
const CAUTION_SHARE = 0.25;
const LATEST_SHARE = 7 / 16;
/** Bits before the one in question that can reach into it. */
const BEFORE = 2;

/** The swing from space to mark of a step response: v = 2s − s(∞), turned to rise where it is inverted. */
function crossingOf(volts: Float64Array, stepNs: number): Arrival {
  const finalV = volts.at(-1) ?? 0;
  const sign = finalV < 0 ? -1 : 1;
  const rest = Math.abs(finalV);
  let [peakV, first, lastUnder, lastOutside, arrived] = [-Infinity, -1, -1, -1, -1];
  for (let i = 0; i < volts.length; i++) {
    const s = sign * (volts[i] as number);
    const v = 2 * s - rest;
    if (v > peakV) peakV = v;
    if (arrived < 0 && s !== 0) arrived = i - 1;
    if (v >= RECEIVER_V) {
      if (first < 0) first = i;
    } else lastUnder = i;
    if (Math.abs(v - rest) > 0.1 * rest) lastOutside = i;
  }
  return {
    finalV,
    peakV,
    settleUs: (Math.max(0, lastOutside - Math.max(0, arrived)) * stepNs) / 1000,
    validUs: first < 0 ? Infinity : (Math.max(0, lastUnder - first) * stepNs) / 1000,
    firstUs: first < 0 ? Infinity : (first * stepNs) / 1000,
  };
}

/** A step response between its samples, V; 0 before it, at rest after it. */
function voltAt(volts: Float64Array, stepNs: number, ns: number): number {
  if (ns <= 0) return 0;
  const at = ns / stepNs;
  const i = Math.floor(at);
  const from = volts[i];
  const to = volts[i + 1];
  return from === undefined || to === undefined ? (volts.at(-1) ?? 0) : from + (at - i) * (to - from);
}

/** Half the eye of a bit, worst of the samples: p_0 − Σ|p_k|, p_k what a bit that began k bits earlier leaves at the sample. */
function eyeV(volts: Float64Array, stepNs: number, firstNs: number, bitNs: number): number {
  const endNs = volts.length * stepNs;
  return Math.min(
    ...SAMPLED.map((share) => {
      const at = firstNs + share * bitNs;
      let eye = 0;
      for (let k = -BEFORE; at + (k - 1) * bitNs <= endNs; k++) {
        const pulse = voltAt(volts, stepNs, at + k * bitNs) - voltAt(volts, stepNs, at + (k - 1) * bitNs);
        eye += k === 0 ? pulse : -Math.abs(pulse);
      }
      return eye;
    }),
  );
}

/** The first that fits. */
function verdictOf({ finalV, validUs }: Arrival, eye: number, bitUs: number): HeardVerdict {
  if (!(Math.abs(finalV) >= RECEIVER_V)) return 'no signal';
  if (finalV < 0) return 'inverted';
  if (!(eye >= RECEIVER_V)) return 'eye';
  if (validUs > LATEST_SHARE * bitUs) return 'settling';
  return eye < CAUTION_V || validUs > CAUTION_SHARE * bitUs ? 'caution' : 'pass';
}

/** A step response made ready to be asked at many rates. */
export class Listener {
  readonly #volts: Float64Array;
  readonly #stepNs: number;
  readonly #arrival: Arrival;
  constructor(volts: Float64Array, stepNs: number) {
    requirePositive({ stepNs }, 'stepNs');
    this.#arrival = crossingOf(volts, stepNs);
    this.#volts = this.#arrival.finalV < 0 ? volts.map((v) => -v) : volts;
    this.#stepNs = stepNs;
  }
  /**
   * What one receiver makes of a step response at a bit rate: no signal, inverted, an eye under 0.2 V, a swing that is settled later than the
   * first sample, caution under 0.3 V or past a quarter of a bit, or pass. Volts in V a step of `stepNs` apart; bit/s above 0 (RangeError else).
   */
  at(bitRate: number): Heard {
    requirePositive({ bitRate }, 'bitRate');
    const arrival = this.#arrival;
    const bitNs = 1e9 / bitRate;
    const firstNs = 1000 * arrival.firstUs;
    const eye = Number.isFinite(firstNs) ? eyeV(this.#volts, this.#stepNs, firstNs, bitNs) : 0;
    return { ...arrival, verdict: verdictOf(arrival, eye, bitNs / 1000), eyeV: eye };
  }
}

/** How it is marked among the checks. */
export const MARK_OF: Readonly<Record<HeardVerdict, 'stop' | 'tight' | 'holds'>> = {
  'no signal': 'stop',
  inverted: 'stop',
  eye: 'stop',
  settling: 'stop',
  caution: 'tight',
  pass: 'holds',
};

/** The worse of two. */
export const worseVerdict = (a: HeardVerdict, b: HeardVerdict): HeardVerdict =>
  HEARD.indexOf(b) < HEARD.indexOf(a) ? b : a;
