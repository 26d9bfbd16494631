import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import type { Judged } from '../../kernel/judgement';

export interface ThermalScan {
  /** Hotter than a like joint, and than the ambient, K. */
  readonly likeK: number;
  readonly riseK: number;
  readonly currentA: number;
  readonly fullLoadA: number;
  readonly minutes: number;
}
/** A scan as one school of practice reads it. */
export interface ThermalSchool {
  readonly verdict: Judged;
  readonly likeK: number;
  readonly riseK: number;
}
export interface ThermalVerdict {
  readonly load: number;
  /** Carried to full load by the 1.6th power of the current. This one decides: noon is the test, and it is no harder than a joint is. */
  readonly atFull: ThermalSchool;
  /** Carried by its square, as the strict school does, and not carried at all, as the bands of NETA are meant. Told, and decide nothing. */
  readonly bySquare: ThermalSchool;
  readonly asRead: ThermalSchool;
}

/** Least load and time for a scan to say anything; how heat grows with current: (I_max/I)^n (common practice). */
const LEAST_LOAD = 0.4;
const LEAST_MINUTES = 60;
export const EXPONENT = 1.6;
/** Bands, K: like against like (NETA MTS 100.18), over ambient (70: IEC 61439-1, Table 6; 50: common practice). Recalled. */
const LIKE_HOLDS_K = 3;
const LIKE_TIGHT_K = 15;
const RISE_HOLDS_K = 50;
export const RISE_MOST_K = 70;

/** A scan as each school reads it. Under 40 % of full load, or before an hour of it, it proves nothing by any of them. */
export function thermalScan(s: ThermalScan): Answer<ThermalVerdict> {
  const load = s.currentA / s.fullLoadA;
  if (!(load >= LEAST_LOAD))
    return lacking(`a load of at least ${100 * LEAST_LOAD} % (now ${Math.round(100 * load)} %)`);
  if (!(s.minutes >= LEAST_MINUTES)) return lacking(`${LEAST_MINUTES} minutes of load (now ${s.minutes})`);
  const by = (exponent: number): ThermalSchool => inBands(s.likeK / load ** exponent, s.riseK / load ** exponent);
  return known({ load, atFull: by(EXPONENT), bySquare: by(2), asRead: by(0) });
}

function inBands(likeK: number, riseK: number): ThermalSchool {
  const stops = likeK > LIKE_TIGHT_K || riseK > RISE_MOST_K;
  const tight = likeK > LIKE_HOLDS_K || riseK > RISE_HOLDS_K;
  return { verdict: stops ? 'stop' : tight ? 'tight' : 'holds', likeK, riseK };
}
