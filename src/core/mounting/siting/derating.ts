import { requireWithin } from '../../kernel/require';
import type { Judged } from '../../kernel/judgement';

/** Share of its power that a unit still gives in hot and in thin air. */

/** A point of a derating curve: factor at a temperature, °C, or an altitude, m. */
export interface CurvePoint {
  readonly at: number;
  readonly factor: number;
}
export type Curve = readonly CurvePoint[];

/** Where no sheet says (common practice): full power to 45 °C and 2000 m, out of range past 60 °C and 3000 m. */
const USUAL_AMBIENT: Curve = [
  { at: 45, factor: 1 },
  { at: 60, factor: 0.6 },
];
const USUAL_ALTITUDE: Curve = [
  { at: 2000, factor: 1 },
  { at: 3000, factor: 0.9 },
];
/** Colder and hotter air is reckoned as this: neither changes what is left, °C. */
export const COLDEST_AIR_C = -60;
export const HOTTEST_AIR_C = 100;
/** From here a derated unit is a caution, under it a stop (common practice). */
export const LEAST_FACTOR = 0.8;

/** Linear between the points; left of the first its factor; right of the last the unit does not work: null. Throws RangeError where the points do not rise. */
function factorOn(curve: Curve, at: number): number | null {
  const [first] = curve;
  if (!first) throw new RangeError('curve must have points (got none)');
  curve.forEach((p, i) => {
    const before = curve[i - 1];
    if (before && !(p.at > before.at)) throw new RangeError(`curve must rise (got ${before.at}, then ${p.at})`);
    requireWithin('factor', p.factor, 0, 1);
  });
  if (!(at > first.at)) return Number.isNaN(at) ? null : first.factor;
  const right = curve.findIndex((p) => p.at >= at);
  const [a, b] = [curve[right - 1], curve[right]];
  if (!a || !b) return null;
  return a.factor + ((b.factor - a.factor) * (at - a.at)) / (b.at - a.at);
}

export interface Derating {
  readonly factor: number;
  /** Null: outside the operating range. */
  readonly ofTemperature: number | null;
  readonly ofAltitude: number | null;
  readonly verdict: Judged;
}

/**
 * f = f_T · f_h: the factor for ambient times that for altitude (common practice; the other school moves the knee of the ambient curve with
 * altitude). Outside either curve the unit gives nothing. 1 holds, from 0.8 tight, under it stops. Throws RangeError on curves that do not rise.
 */
export function derating(
  tempC: number,
  altitudeM: number,
  ambient: Curve = USUAL_AMBIENT,
  altitude: Curve = USUAL_ALTITUDE,
): Derating {
  requireWithin('tempC', tempC, COLDEST_AIR_C, HOTTEST_AIR_C, '°C');
  requireWithin('altitudeM', altitudeM, -400, 6000, 'm');
  const [ofTemperature, ofAltitude] = [factorOn(ambient, tempC), factorOn(altitude, altitudeM)];
  const factor = (ofTemperature ?? 0) * (ofAltitude ?? 0);
  return {
    factor,
    ofTemperature,
    ofAltitude,
    verdict: factor >= 1 ? 'holds' : factor >= LEAST_FACTOR ? 'tight' : 'stop',
  };
}
