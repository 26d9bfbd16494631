import { requirePositive, requireWithin } from '../kernel/require';
import type { Ampacity } from './school';

/**
 * Temperature at which a conductor settles under a current, °C: θ = θ_a + (θ_max − θ_a)·(I_b/I_z)². I_b from 0, I_z above 0 (RangeError).
 * Null where the current it may carry is given for no one temperature. Source: heat balance of a conductor (IEC 60287-1-1; recalled), the
 * small rise of R with temperature left out: a little too warm below full load.
 */
export function settledC({ izA, reckonedAt }: Pick<Ampacity, 'izA' | 'reckonedAt'>, currentA: number): number | null {
  requirePositive({ izA }, 'izA');
  requireWithin('currentA', currentA, 0, Infinity, 'A');
  if (!reckonedAt) return null;
  const { ambientC, conductorC } = reckonedAt;
  return ambientC + (conductorC - ambientC) * (currentA / izA) ** 2;
}
