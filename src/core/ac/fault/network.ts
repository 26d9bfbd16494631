import { requirePositive } from '../../kernel/require';

import type { RunImpedance } from '../voltage';

/** Impedances of the way a short circuit is fed by, Ω of one line at the board's voltage, and what it comes to. */

export type Impedance = RunImpedance;
export const NO_IMPEDANCE: Impedance = { ohm: 0, reactanceOhm: 0 };

export const inSeries = (...parts: readonly Impedance[]): Impedance => ({
  ohm: parts.reduce((sum, z) => sum + z.ohm, 0),
  reactanceOhm: parts.reduce((sum, z) => sum + z.reactanceOhm, 0),
});
export const scaled = (z: Impedance, by: number): Impedance => ({
  ohm: by * z.ohm,
  reactanceOhm: by * z.reactanceOhm,
});
export const magnitudeOhm = (z: Impedance): number => Math.hypot(z.ohm, z.reactanceOhm);

/**
 * A transformer: z = u_k·U²/S, r = P_k·U²/S², x = √(z² − r²).
 * u_k per cent · S kVA · P_k load losses, kW, 0 where they are not known: then all of it is reactance · U line to line, V.
 * Source: IEC 60909-0, 6.3 (recalled). Throws RangeError on values not above 0, and on losses that are more than the whole.
 */
export function transformerOhm(t: {
  readonly ratingKva: number;
  readonly impedancePercent: number;
  readonly lossKw: number;
  readonly lineV: number;
}): Impedance {
  requirePositive(t, 'ratingKva', 'impedancePercent', 'lineV');
  const z = ((t.impedancePercent / 100) * t.lineV ** 2) / (t.ratingKva * 1000);
  const ohm = (t.lossKw * 1000 * t.lineV ** 2) / (t.ratingKva * 1000) ** 2;
  if (!(ohm >= 0 && ohm <= z))
    throw new RangeError(`lossKw must be from 0 to ${(t.impedancePercent / 100) * t.ratingKva} kW (got ${t.lossKw})`);
  return { ohm, reactanceOhm: Math.sqrt(z ** 2 - ohm ** 2) };
}

/**
 * The network upstream, by its short-circuit power, MVA: Z = U²/S_k, R = Z/√(1 + (X/R)²); where nobody gives X/R, X = 0.995·Z, R = 0.1·X
 * (IEC 60909-0, 6.2; recalled). Throws RangeError on values not above 0.
 */
export function upstreamOhm(powerMva: number, lineV: number, xOverR: number | null = null): Impedance {
  requirePositive({ powerMva, lineV }, 'powerMva', 'lineV');
  const z = lineV ** 2 / (powerMva * 1e6);
  if (xOverR === null) return { ohm: 0.1 * 0.995 * z, reactanceOhm: 0.995 * z };
  requirePositive({ xOverR }, 'xOverR');
  const ohm = z / Math.sqrt(1 + xOverR ** 2);
  return { ohm, reactanceOhm: xOverR * ohm };
}

/** Voltage factors for the largest and the least short-circuit current of a low-voltage network held to ±6 % (IEC 60909-0, Table 1; recalled). */
export const VOLTAGE_FACTOR = { most: 1.05, least: 0.95 } as const;

/** Three-phase short-circuit current, A: I_k = c·U/(√3·|Z|) (IEC 60909-0; recalled). Throws RangeError on a way without impedance. */
export function shortCircuitA(lineV: number, z: Impedance, voltageFactor: number = VOLTAGE_FACTOR.most): number {
  const ohm = magnitudeOhm(z);
  requirePositive({ lineV, ohm }, 'lineV', 'ohm');
  return (voltageFactor * lineV) / (Math.sqrt(3) * ohm);
}

/** Section that bears a short circuit, mm²: S = √(I²t)/k (IEC 60364-4-43, 434.5.2; recalled). I²t A²s · k A·√s/mm². */
export function withstandMm2(letThroughA2s: number, k: number): number {
  requirePositive({ letThroughA2s, k }, 'letThroughA2s', 'k');
  return Math.sqrt(letThroughA2s) / k;
}
