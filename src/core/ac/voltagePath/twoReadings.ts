import { requirePositive, requireWithin } from '../../kernel/require';

/** Voltages line to line, V, and power out of the unit or the site, W, read at one moment. */
export interface ReadAt {
  readonly nearV: number;
  readonly farV: number;
  readonly powerW: number;
}

/** Powers less apart than this tell nothing about a resistance, W (common practice; better over 40 % of the rating). */
const APART_LEAST_W = 1000;

/**
 * Resistance of one conductor between two points, Ω, from readings at two powers: R = (ΔU_2 − ΔU_1)·U/(P_2 − P_1).
 * near: nearer the unit · far: nearer the grid; a source that is not read itself is the same far voltage both times · U mean of the far
 * voltages, line to line, V · P of all three phases, W, at unity power factor. Throws RangeError on powers less than 1 kW apart.
 * Error: the square of the rise over U, some per cent of R at most. Source: U·I·√3 = P and ΔU = √3·I·R.
 */
export function resistanceByTwoReadings(a: ReadAt, b: ReadAt): number {
  requirePositive(a, 'nearV', 'farV');
  requirePositive(b, 'nearV', 'farV');
  requireWithin('powers apart', Math.abs(b.powerW - a.powerW), APART_LEAST_W, 1e8, 'W');
  const meanV = (a.farV + b.farV) / 2;
  return ((b.nearV - b.farV - (a.nearV - a.farV)) * meanV) / (b.powerW - a.powerW);
}
