import type { ModuleType } from '../equipment/moduleType';
import { STC_C, STC_W_M2 } from '../kernel/quantity';

/**
 * A module away from standard test conditions, by the coefficients of its sheet: β of U_oc, α of I_sc, γ of P_max, all 1/K.
 * T cell temperature, °C (−60…110) · G irradiance in the plane, W/m² (0…1600). Voltages V, currents A. Straight lines: a few parts in a
 * thousand off at 60 K from 25 °C. Nothing here throws; ranges are the schemas' and the rules' matter.
 */

/** U_oc(T)/U_oc = 1 + β (T − 25), no unit (IEC 62548-1; IEC 60891). */
export const openCircuitFactor = (m: Pick<ModuleType, 'betaUocPerK'>, cellC: number): number =>
  1 + m.betaUocPerK * (cellC - STC_C);

/** U_oc(T) = U_oc · (1 + β (T − 25)), V (IEC 62548-1; IEC 60891). */
export function openCircuitV(m: ModuleType, cellC: number): number {
  return m.uocV * openCircuitFactor(m, cellC);
}

/**
 * U_mp(T) = U_mp · (1 + (γ − α)(T − 25)): sheets print no coefficient for U_mp, and this form is the lowest of the usual
 * three when hot, so the safe side. V. Common practice.
 */
export function maximumPowerV(m: ModuleType, cellC: number): number {
  return m.umpV * (1 + (m.gammaPmaxPerK - m.alphaIscPerK) * (cellC - STC_C));
}

/** I_sc(G, T) = I_sc · G/1000 · (1 + α (T − 25)), A (IEC 60891). */
export function shortCircuitA(m: ModuleType, cellC: number, irradianceWm2: number): number {
  return m.iscA * (irradianceWm2 / STC_W_M2) * (1 + m.alphaIscPerK * (cellC - STC_C));
}

/** Gain of the rear side on currents, no unit: g_b = 1 + φ·r. φ bifaciality, 0…1 · r share of light behind, 0…1. Source: IEC TS 60904-1-2 (recalled). */
export function rearGain(m: ModuleType, rearRatio: number): number {
  return 1 + m.bifaciality * rearRatio;
}

/** Ideality of silicon cells where no curve was fitted: n·k·T/q per cell at 25 °C, V (common practice). */
const THERMAL_V_PER_CELL = 0.0257;

/** Modified ideality at 25 °C, V: a = N_s · 0.0257 V, N_s cells in series. Common practice. */
export function idealityV(m: ModuleType): number {
  return THERMAL_V_PER_CELL * m.cellsInSeries;
}

/** U_oc in the light of the day, V: U_oc(T) + a·(T/T_ref)·ln(G/1000). a V at 25 °C · T, T_ref K · G above 0 (−∞ at 0). Source: IEC 60891, procedure 2 (recalled). */
export function openCircuitInLightV(m: ModuleType, cellC: number, irradianceWm2: number, aV = idealityV(m)): number {
  const kelvin = cellC + 273.15;
  return openCircuitV(m, cellC) + ((aV * kelvin) / 298.15) * Math.log(irradianceWm2 / STC_W_M2);
}
