import { keysOf } from '../../../kernel/publishedTable';
import { ROUNDING } from '../../../kernel/rounding';
import type { Insulation } from '../../laid';
import type { Metal } from '../../metal';
import { ADIABATIC_K } from './tables/adiabatic';
import { RESISTANCE_20C } from './tables/resistance';

/** Smallest external earth where leakage may pass 10 mA, mm² (IEC 60364-5-54, 543.7; recalled). */
const EXTERNAL_EARTH_MIN_MM2: Readonly<Record<Metal, number>> = { Cu: 10, Al: 16 };

/**
 * PE section before rounding to a standard one, mm²: S ≤ 16 → S; S ≤ 35 → 16; above → S/2; another metal × k_line/k_PE
 * (IEC 60364-5-54, Table 54.2; recalled). S section of the line conductor, mm², above 0.
 */
export function protectiveEarthRawMm2(
  lineMm2: number,
  lineMetal: Metal,
  peMetal: Metal,
  insulation: Insulation,
): number {
  const same = lineMm2 <= 16 ? lineMm2 : lineMm2 <= 35 ? 16 : lineMm2 / 2;
  const k = ADIABATIC_K.core[insulation];
  return peMetal === lineMetal ? same : (same * k[lineMetal]) / k[peMetal];
}

const SECTIONS_MM2 = keysOf(RESISTANCE_20C, 'Cu');
/** The next standard section at or above, mm² (IEC 60228; recalled). Undefined past the table. */
export function standardSectionMm2(neededMm2: number): number | undefined {
  return SECTIONS_MM2.find((s) => s >= neededMm2 * (1 - ROUNDING));
}

/**
 * External chassis earth, mm²: the PE's own section in equivalent metal, and never under 10 Cu or 16 Al
 * (IEC 60364-5-54, 543.7; recalled). PE section mm², above 0.
 */
export function externalEarthMinMm2(peMm2: number, peMetal: Metal, earthMetal: Metal, insulation: Insulation): number {
  const k = ADIABATIC_K.core[insulation];
  const equivalent = peMetal === earthMetal ? peMm2 : (peMm2 * k[peMetal]) / k[earthMetal];
  return Math.max(equivalent, EXTERNAL_EARTH_MIN_MM2[earthMetal]);
}
