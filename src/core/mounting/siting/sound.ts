import { requirePositive, requireWithin } from '../../kernel/require';

/** Sound of units at a place, free field: no reflections and no penalty for single tones. */

export interface SoundSource {
  /** Sound pressure level, dB(A), at `referenceM` from the unit. */
  readonly levelDb: number;
  readonly referenceM: number;
  readonly distanceM: number;
}

/** Under the limit by less than this is tight, dB (common practice). */
export const SOUND_RESERVE_DB = 3;

/** L = 10·lg Σ 10^((L_i − 20·lg(r_i/r_ref))/10), dB(A). Valid L 0…140 dB, distances above 0. Throws RangeError outside, and without a source. */
export function soundAtDb(sources: readonly SoundSource[]): number {
  if (sources.length === 0) throw new RangeError('sources must have one at least (got none)');
  const sum = sources.reduce((total, s) => {
    requireSource(s.levelDb, s.referenceM);
    requirePositive(s, 'distanceM');
    return total + 10 ** ((s.levelDb - 20 * Math.log10(s.distanceM / s.referenceM)) / 10);
  }, 0);
  return 10 * Math.log10(sum);
}

/** Where a unit stands: in the open, on a floor, at the foot of a wall. */
export const SOUND_STANDS = ['free', 'on a floor', 'at floor and wall'] as const;
/** Level at 1 m less sound power level, dB: spreading over a whole, half and quarter sphere (ISO 9613-2; recalled). */
const FROM_POWER_DB: Readonly<Record<(typeof SOUND_STANDS)[number], number>> = {
  free: -11,
  'on a floor': -8,
  'at floor and wall': -5,
};
/** Level at 1 m of a sound power level, dB(A). */
export const levelAt1mDb = (powerLevelDb: number, stands: (typeof SOUND_STANDS)[number]): number =>
  powerLevelDb + FROM_POWER_DB[stands];

/** Distance at which a level has fallen to a limit, m: r_ref·10^((L − limit)/20). */
export function distanceForM(levelDb: number, limitDb: number, referenceM = 1): number {
  requireSource(levelDb, referenceM);
  requireWithin('limitDb', limitDb, 0, 140, 'dB(A)');
  return referenceM * 10 ** ((levelDb - limitDb) / 20);
}

function requireSource(levelDb: number, referenceM: number): void {
  requireWithin('levelDb', levelDb, 0, 140, 'dB(A)');
  requirePositive({ referenceM }, 'referenceM');
}
