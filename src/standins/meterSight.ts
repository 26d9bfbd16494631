import type { Fault } from '$lib/schemas/standIns/config';
import type { Metered } from './unit';

/** Complex numbers as pairs, so much as a meter needs. */
type Phasor = readonly [re: number, im: number];
const turned = (size: number, deg: number): Phasor => [
  size * Math.cos((deg * Math.PI) / 180),
  size * Math.sin((deg * Math.PI) / 180),
];
/** a · conj(b): the power of a voltage and a current. */
const power = ([a, b]: Phasor, [c, d]: Phasor): Phasor => [a * c + b * d, b * c - a * d];
const scaled = ([a, b]: Phasor, k: number): Phasor => [a * k, b * k];

/** Three phases, each 120° behind the one before. */
const BEHIND = [0, -120, -240] as const;

/**
 * What a meter at the board sees while so many watts and vars are fed in, in all three phases alike: its map counts import. Current transformers
 * that are reversed, on one another's phase or of another ratio than was set change what its channels show.
 */
export function meterSight(feedW: number, feedVar: number, lineV: number, faults: readonly Fault[]): Metered {
  const phaseV = lineV / Math.sqrt(3);
  const volts = BEHIND.map((deg) => turned(phaseV, deg));
  // Import positive: what is fed in flows the other way.
  const amps = volts.map((v): Phasor => {
    const [re, im] = [-feedW / 3, -feedVar / 3];
    // i = conj(S/v)
    const n = v[0] ** 2 + v[1] ** 2;
    return [(re * v[0] + im * v[1]) / n, (re * v[1] - im * v[0]) / n];
  });
  let source = [0, 1, 2];
  let sign = [1, 1, 1];
  let ratio = 1;
  for (const f of faults) {
    if (f.kind === 'reversed CT') sign = sign.map((s, i) => (i === f.channel - 1 ? -s : s));
    if (f.kind === 'swapped CT') {
      const [a, b] = [f.channel - 1, f.other - 1];
      source = source.map((s, i) => (i === a ? (source[b] as number) : i === b ? (source[a] as number) : s));
    }
    if (f.kind === 'wrong CT ratio') ratio *= f.factor;
  }
  const seen = source.map((s, i) => scaled(amps[s] as Phasor, (sign[i] as number) * ratio));
  const powers = seen.map((i, c) => power(volts[c] as Phasor, i));
  return {
    volt: [phaseV, phaseV, phaseV],
    amp: seen.map(([a, b]) => Math.hypot(a, b)),
    watt: powers.map(([p]) => p),
    vars: powers.map(([, q]) => q),
  };
}
