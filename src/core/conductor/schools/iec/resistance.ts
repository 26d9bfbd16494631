import { exactly } from '../../../kernel/publishedTable';
import type { Insulation } from '../../laid';
import type { Metal } from '../../metal';
import { resistanceAt } from '../../metal';
import { RESISTANCE_20C } from './tables/resistance';

/** Conductor temperature at full load, °C (IEC 60364-5-52, Table 52.1; recalled). */
export const CONDUCTOR_MAX_C: Readonly<Record<Insulation, number>> = { XLPE: 90, PVC: 70 };

/** Reactance of a cable, Ω/m, one figure for all sections (common practice). */
export const REACTANCE_OHM_PER_M = 0.08e-3;

/** Skin effect matters from here up, mm² (common practice). */
const SKIN_FROM_MM2 = 240;

/**
 * R_ac/R_dc = 1 + y, y = x⁴/(192 + 0.8·x⁴), x² = 8πf·1e−7/R'.
 * R' DC resistance at temperature, Ω/m, above 0 · f 50 or 60 Hz. Source: IEC 60287-1-1, 2.1.2 (recalled).
 */
export function skinFactor(dcOhmPerM: number, frequencyHz: number): number {
  const x4 = ((8 * Math.PI * frequencyHz * 1e-7) / dcOhmPerM) ** 2;
  return 1 + x4 / (192 + 0.8 * x4);
}

/**
 * AC resistance of one conductor, Ω/m: R_20(S)·(1 + α(θ − 20)), from 240 mm² up with skin effect.
 * S section, mm² · θ conductor temperature, °C (−40…250, RangeError outside) · f frequency, Hz. Undefined for sections the standard
 * does not print. Source: IEC 60228, Table 2 (recalled).
 */
export function conductorOhmPerM(
  metal: Metal,
  sectionMm2: number,
  tempC: number,
  frequencyHz: number,
): number | undefined {
  const at20 = exactly(RESISTANCE_20C, sectionMm2, metal);
  if (at20 === undefined) return undefined;
  const dc = resistanceAt(at20, metal, tempC) / 1000;
  return sectionMm2 > SKIN_FROM_MM2 ? dc * skinFactor(dc, frequencyHz) : dc;
}
