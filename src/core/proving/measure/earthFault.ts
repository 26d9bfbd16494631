import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';

/** Above this share of U_oc the two poles cannot both be right; under the other there is no fixed fault (common practice). */
const MOST = 1.02;
const LEAST = 0.1;

export type EarthFaultPlace =
  | { readonly found: 'error' }
  | { readonly found: 'no fixed fault' }
  | {
      readonly found: 'fault';
      readonly atModules: number;
      readonly ohm: number;
      readonly between: readonly [number, number];
    };

/**
 * Where a string of n modules touches earth: k = n·V₋/s from the negative end, R_f = R_m(U_oc/s − 1), s = V₊ + V₋; V to earth by a meter of
 * R_m, Ω, the unit off and only this string connected. Look between module round(k) and the next. Node equations.
 */
export function earthFaultPlace(
  modules: number,
  plusV: number,
  minusV: number,
  uocV: number,
  meterOhm = 1e7,
): EarthFaultPlace {
  const s = Math.abs(plusV) + Math.abs(minusV);
  if (s > MOST * uocV) return { found: 'error' };
  if (s < LEAST * uocV) return { found: 'no fixed fault' };
  const atModules = (modules * Math.abs(minusV)) / s;
  const from = Math.floor(atModules + 0.5);
  return { found: 'fault', atModules, ohm: Math.max(0, meterOhm * (uocV / s - 1)), between: [from, from + 1] };
}

/** Under this share of the string's U_oc on the sheet it lies in the dark, and poles that read nothing say nothing (common practice). */
const LIT = 0.5;

/** Both poles of a string as they were read. */
export interface PolesRead {
  readonly modules: number;
  readonly plusV: number;
  readonly minusV: number;
  /** Open circuit, read now, V, and as the sheet of the modules has it. */
  readonly openV: number;
  readonly sheetV: number;
  readonly meterOhm: number;
}

/** The same as an answer: in the dark nothing is found, and poles whose sum is more than the string has were not both read right. */
export function poles(r: PolesRead): Answer<Exclude<EarthFaultPlace, { readonly found: 'error' }>> {
  if (!(r.openV >= LIT * r.sheetV))
    return lacking(`the string in light: at least ${100 * LIT} % of its open-circuit voltage`);
  const place = earthFaultPlace(r.modules, r.plusV, r.minusV, r.openV, r.meterOhm);
  return place.found === 'error'
    ? lacking(`both poles read again: their sum is over ${100 * MOST} % of U_oc`)
    : known(place);
}
