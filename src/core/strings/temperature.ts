import { MOUNTING } from '../equipment/mounting';
import { requireWithin } from '../kernel/require';
import { STC_W_M2 } from '../kernel/quantity';

export type Mounting = keyof typeof MOUNTING;

/** Mountings with so little air behind the module that the offset school may be the hotter one. */
const CLOSE: readonly Mounting[] = ['pitched_close', 'flush'];

/**
 * Cell temperature under sun, °C: T_c = T_a + (NMOT − 20)/800 · G.
 * T_a ambient, °C (−60…60) · NMOT °C (30…60) · G irradiance in the plane, W/m² (0…1600).
 * Error: steady state, no wind; a few kelvin either way. Source: NOCT method, IEC 61215. Throws RangeError outside the ranges.
 */
export function cellTemperatureC(ambientC: number, irradianceWm2: number, nmotC: number): number {
  requireWithin('ambientC', ambientC, -60, 60, '°C');
  requireWithin('irradianceWm2', irradianceWm2, 0, 1600, 'W/m²');
  requireWithin('nmotC', nmotC, 30, 60, '°C');
  return ambientC + ((nmotC - 20) / 800) * irradianceWm2;
}

/** Hot design cell temperature, °C: the NMOT method at 1000 W/m²; close mountings take the larger of it and the offset (common practice). */
export function hotCellC(hottestC: number, nmotC: number, mounting: Mounting): number {
  const byNmot = cellTemperatureC(hottestC, STC_W_M2, nmotC);
  return CLOSE.includes(mounting) ? Math.max(byNmot, hottestC + MOUNTING[mounting].hotOffsetK) : byNmot;
}

/** Cell temperature from a thermometer on the back of the module, °C: T_back + d · G/1000 (King et al. 2004, SAND2004-3535; recalled). */
export function cellFromBackC(backC: number, irradianceWm2: number, mounting: Mounting): number {
  return backC + (MOUNTING[mounting].rearToCellK * irradianceWm2) / STC_W_M2;
}
