import { requireWithin } from '../kernel/require';

/** Reactance of a cable, Ω/m, one figure for all sections (common practice). */
export const REACTANCE_OHM_PER_M = 0.08e-3;

/** R and X of one line conductor of a run, Ω. */
export interface RunImpedance {
  readonly ohm: number;
  readonly reactanceOhm: number;
}

/** Impedance of a run, with the conductor temperature it is reckoned at, °C. */
export interface LoadedRunImpedance extends RunImpedance {
  readonly conductorC: number;
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
