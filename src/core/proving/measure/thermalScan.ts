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
export interface ThermalVerdict {
  readonly verdict: Judged;
  readonly load: number;
  readonly likeFullK: number;
  readonly riseFullK: number;
}

/** Least load and time for a scan to say anything; how heat grows with current: (I_max/I)^1.6 (common practice; the strict school takes 2). */
const LEAST_LOAD = 0.4;
const LEAST_MINUTES = 60;
const EXPONENT = 1.6;
/** Bands at full load, K: like against like (NETA MTS 100.18), over ambient (70: IEC 61439-1, Table 6; 50: common practice). Recalled. */
const LIKE_HOLDS_K = 3;
const LIKE_TIGHT_K = 15;
const RISE_HOLDS_K = 50;
export const RISE_MOST_K = 70;

/** A scan carried to full load. Under 40 % of it, or before an hour of it, it proves nothing. `exponent` 1.6, or 2 by the strict school. */
export function thermalScan(s: ThermalScan, exponent = EXPONENT): Answer<ThermalVerdict> {
  const load = s.currentA / s.fullLoadA;
  if (!(load >= LEAST_LOAD))
    return lacking(`a load of at least ${100 * LEAST_LOAD} % (now ${Math.round(100 * load)} %)`);
  if (!(s.minutes >= LEAST_MINUTES)) return lacking(`${LEAST_MINUTES} minutes of load (now ${s.minutes})`);
  const factor = (1 / load) ** exponent;
  const [likeFullK, riseFullK] = [s.likeK * factor, s.riseK * factor];
  const stops = likeFullK > LIKE_TIGHT_K || riseFullK > RISE_MOST_K;
  const tight = likeFullK > LIKE_HOLDS_K || riseFullK > RISE_HOLDS_K;
  return known({ verdict: stops ? 'stop' : tight ? 'tight' : 'holds', load, likeFullK, riseFullK });
}
