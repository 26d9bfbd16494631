import type { ModuleType } from '../../equipment/moduleType';
import { STC_C, STC_W_M2 } from '../../kernel/quantity';
import type { Plane } from '../../site/parts';
import type { Irradiance } from '../../sun/irradiance';
import { lightOnPlane } from '../../sun/irradiance';
import { idealityV, openCircuitInLightV } from '../moduleAt';
import { cellRiseK } from '../temperature';
import type { LitHour } from './lightStates';

/** Under this light an open-circuit voltage proves nothing, W/m² (common practice). */
const LEAST_LIGHT_WM2 = 20;

/** A plane in the light of one hour: what one of its modules gives. */
export interface LitPlane {
  /** Light on the plane, and what of it the cells take. */
  readonly totalWm2: number;
  readonly effectiveWm2: number;
  readonly cellC: number;
  /** Power of one module, W, before losses. */
  readonly moduleW: number;
  readonly currentA: number;
  /** Open-circuit voltage of one module, V; 0 where the light is too weak to tell. */
  readonly openV: number;
}

/**
 * One module of a plane in a state of light.
 *   P = P_stc·G_eff/1000·(1 + γ(T_c − 25)) · T_c = T_a + (NMOT − 20)/800·G
 * G light on the plane, W/m² · G_eff after reflection, W/m². Source: NOCT method (IEC 61215); Hay & Davies 1980 for the light (recalled).
 */
export function litPlane(plane: Plane, m: ModuleType, hour: LitHour, light: Irradiance, albedo: number): LitPlane {
  const on = lightOnPlane(light, hour.sun, plane, hour.i0nWm2, albedo);
  const cellC = hour.ambientC + cellRiseK(on.totalWm2, m.nmotC);
  const sun = on.effectiveWm2 / STC_W_M2;
  return {
    totalWm2: on.totalWm2,
    effectiveWm2: on.effectiveWm2,
    cellC,
    moduleW: m.pmaxW * sun * (1 + m.gammaPmaxPerK * (cellC - STC_C)),
    currentA: m.impA * sun,
    openV: on.effectiveWm2 >= LEAST_LIGHT_WM2 ? openCircuitInLightV(m, cellC, on.effectiveWm2, idealityV(m)) : 0,
  };
}
