import { requireWithin } from '../kernel/require';

/** One conductor model for the whole yard: AC runs, earth conductors and bus cables. */

export type Metal = 'Cu' | 'Al';

/** Resistivity at 20 °C, Ω·mm²/m (IEC 60028 for copper, IEC 60889 for aluminium; recalled). */
export const RESISTIVITY_20C: Readonly<Record<Metal, number>> = { Cu: 0.017241, Al: 0.028264 };

/** Temperature coefficient of resistance at 20 °C, 1/K (the same standards; recalled). */
export const RESISTANCE_PER_K: Readonly<Record<Metal, number>> = { Cu: 0.00393, Al: 0.00403 };

/** R(θ) = R_20 · (1 + α_20 (θ − 20)), in the unit of R_20. Valid −40…250 °C. Throws RangeError outside. */
export function resistanceAt(at20C: number, metal: Metal, tempC: number): number {
  requireWithin('tempC', tempC, -40, 250, '°C');
  return at20C * (1 + RESISTANCE_PER_K[metal] * (tempC - 20));
}

/** There-and-back resistance of a pair, Ω: 2·ρ·L/A at the temperature. L m, from 0 · A mm², above 0 · θ °C (−40…250, RangeError outside). */
export function loopOhm(lengthM: number, areaMm2: number, tempC: number, metal: Metal = 'Cu'): number {
  requireWithin('areaMm2', areaMm2, 0.05, 1000, 'mm²');
  return resistanceAt((2 * RESISTIVITY_20C[metal] * lengthM) / areaMm2, metal, tempC);
}
