import type { Metal } from '../kernel/conductor';
import { resistanceAt } from '../kernel/conductor';
import { requireWithin } from '../kernel/require';
import { exactly } from '../kernel/publishedTable';
import { RESISTANCE_20C } from './tables/resistance';

/** Reactance of a cable, Ω/m, one figure for all sections (common practice). */
export const REACTANCE_OHM_PER_M = 0.08e-3;

/** Conductor temperature at full load, °C (IEC 60364-5-52, Table 52.1). */
export const CONDUCTOR_MAX_C = { XLPE: 90, PVC: 70 } as const;

/** Skin effect matters from here up, mm². */
const SKIN_FROM_MM2 = 240;

/** R_ac/R_dc = 1 + y, y = x⁴/(192 + 0.8·x⁴), x² = 8πf·1e−7/R', R' in Ω/m (IEC 60287-1-1; recalled). */
export function skinFactor(dcOhmPerM: number, frequencyHz: number): number {
  const x4 = ((8 * Math.PI * frequencyHz * 1e-7) / dcOhmPerM) ** 2;
  return 1 + x4 / (192 + 0.8 * x4);
}

/** AC resistance of one conductor at a temperature, Ω/m. Undefined for sections the standard does not print. */
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

/** R and X of one line conductor of a run, Ω. */
export interface RunImpedance {
  readonly ohm: number;
  readonly reactanceOhm: number;
}

/**
 * Rise of the line voltage along a run, V, linear: ΔU = √3·I·(R·cosφ ± X·sinφ).
 * Sign of `reactive`: +1 the inverter supplies reactive power, −1 it absorbs it. cos φ 0.8…1. Exact solution below differs by under 0.3 %.
 */
export function voltageRiseV(z: RunImpedance, currentA: number, powerFactor = 1, reactive: 1 | -1 = 1): number {
  requireWithin('powerFactor', powerFactor, 0.8, 1);
  const sin = Math.sqrt(1 - powerFactor ** 2);
  return Math.sqrt(3) * currentA * (z.ohm * powerFactor + reactive * z.reactanceOhm * sin);
}

/**
 * Line voltage at the inverter when it exports P and Q and the far end is held at V_g, V:
 * V² = (b + √(b² − 4c))/2, b = V_g² + 2(RP + XQ), c = (R² + X²)(P² + Q²). Undefined where the network cannot carry this power.
 */
export function terminalVoltageV(
  z: RunImpedance,
  farEndV: number,
  activeW: number,
  reactiveVar: number,
): number | undefined {
  const b = farEndV ** 2 + 2 * (z.ohm * activeW + z.reactanceOhm * reactiveVar);
  const c = (z.ohm ** 2 + z.reactanceOhm ** 2) * (activeW ** 2 + reactiveVar ** 2);
  const discriminant = b ** 2 - 4 * c;
  return discriminant < 0 ? undefined : Math.sqrt((b + Math.sqrt(discriminant)) / 2);
}
