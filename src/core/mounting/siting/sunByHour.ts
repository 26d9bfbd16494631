import type { UnderAwning } from './awning';
import { sunOnWall } from './awning';

/** Sun that grazes the wall by no more than floating point heats nothing: an east wall at noon. */
const GRAZING = 1e-9;

/** The 21st of each month as a day of the year: solstices and equinoxes among them. */
const DAYS_21 = [21, 52, 80, 111, 141, 172, 202, 233, 264, 294, 325, 355] as const;
/** Solar hours that are looked at: from the first light of a northern summer to its last. */
export const SUN_HOURS = Array.from({ length: 17 }, (_, i) => 4 + i);

/** What the sun does to a unit at one hour: none on the wall, kept off by the awning, or on the unit. */
export type SunAtHour = 'none' | 'shaded' | 'on the unit';

export interface SunMonth {
  /** 0 January … 11 December. */
  readonly month: number;
  /** By the hours of `SUN_HOURS`. */
  readonly hours: readonly SunAtHour[];
  /** Depth of the awning that would keep all of that month's sun off, m; null where none reaches the wall. */
  readonly depthM: number | null;
}

/**
 * Sun on a unit by month and solar hour, on the 21st, under an awning of a depth, m (0: none). An awning shades the unit where it reaches as far
 * as the sun of that hour asks (`sunOnWall`). Error: half a degree of declination. Throws RangeError outside the ranges of `sunOnWall`.
 */
export function sunByHour(u: Omit<UnderAwning, 'dayOfYear'>, awningM: number): readonly SunMonth[] {
  return DAYS_21.map((dayOfYear, month) => {
    const at = SUN_HOURS.map((h) => sunOnWall({ ...u, dayOfYear }, h)).map((s) =>
      s.cosIncidence > GRAZING ? s : { ...s, lit: false },
    );
    const lit = at.filter((s) => s.lit);
    return {
      month,
      hours: at.map((s) => (!s.lit ? 'none' : s.depthM <= awningM ? 'shaded' : 'on the unit')),
      depthM: lit.length ? Math.max(...lit.map((s) => s.depthM)) : null,
    };
  });
}
