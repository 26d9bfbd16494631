import type { ModuleMounting } from '../equipment/moduleMounting';
import { MODULE_MOUNTING } from '../equipment/moduleMounting';
import { requireWithin } from '../kernel/require';
import { STC_W_M2 } from '../kernel/quantity';

/** Mountings with so little air behind the module that the offset school may be the hotter one. */
const CLOSE: readonly ModuleMounting[] = ['pitched_close', 'flush'];

/** Rise of a cell over ambient, K: (NMOT − 20)/800 · G, the one form of the NOCT method (IEC 61215). G in W/m², NMOT in °C. */
export const cellRiseK = (irradianceWm2: number, nmotC: number): number => ((nmotC - 20) / 800) * irradianceWm2;

/**
 * Cell temperature under sun, °C: T_c = T_a + (NMOT − 20)/800 · G.
 * T_a ambient, °C (−60…60) · NMOT °C (30…60) · G irradiance in the plane, W/m² (0…1600).
 * Error: steady state, no wind; a few kelvin either way. Source: NOCT method, IEC 61215. Throws RangeError outside the ranges.
 */
export function cellTemperatureC(ambientC: number, irradianceWm2: number, nmotC: number): number {
  requireWithin('ambientC', ambientC, -60, 60, '°C');
  requireWithin('irradianceWm2', irradianceWm2, 0, 1600, 'W/m²');
  requireWithin('nmotC', nmotC, 30, 60, '°C');
  return ambientC + cellRiseK(irradianceWm2, nmotC);
}

/**
 * Hot design cell temperature, °C: the NMOT method at 1000 W/m²; close mountings take the larger of it and
 * the offset of the mounting (common practice). T_a °C (−60…60) · NMOT °C (30…60); RangeError outside.
 */
export function hotCellC(hottestC: number, nmotC: number, mounting: ModuleMounting): number {
  const byNmot = cellTemperatureC(hottestC, STC_W_M2, nmotC);
  return CLOSE.includes(mounting) ? Math.max(byNmot, hottestC + MODULE_MOUNTING[mounting].hotOffsetK) : byNmot;
}
