import { requireWithin } from '../../kernel/require';

/**
 * A chain as direct current sees it: nodes in their order, loop resistance between neighbours, conductance across the pair and current into
 * it at each. Ω, S, A; a hop that is open has Infinity.
 */
export interface Ladder {
  readonly hopOhm: readonly number[];
  readonly acrossS: readonly number[];
  readonly intoA: readonly number[];
}

/** A hop shorter than any landing, so that two units in one box do not divide by nothing, Ω. */
const LEAST_OHM = 1e-6;

/**
 * Voltage across the pair at every node, V: Kirchhoff's currents, solved along the chain (a tridiagonal system). A part that is cut off from
 * everything, and a pair with nothing across it and nothing into it, is at 0 V. Throws RangeError where the lists do not belong together.
 */
export function ladderV({ hopOhm, acrossS, intoA }: Ladder): number[] {
  const n = acrossS.length;
  requireWithin('hops', hopOhm.length, Math.max(0, n - 1), Math.max(0, n - 1));
  requireWithin('sources', intoA.length, n, n);
  const hopS = hopOhm.map((r) => 1 / Math.max(r, LEAST_OHM));
  const upper = new Float64Array(n);
  const right = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const [left, next] = [hopS[i - 1] ?? 0, hopS[i] ?? 0];
    const own = (acrossS[i] as number) + left + next + left * ((upper[i - 1] as number | undefined) ?? 0);
    if (own <= 0) continue;
    upper[i] = -next / own;
    right[i] = ((intoA[i] as number) + left * ((right[i - 1] as number | undefined) ?? 0)) / own;
  }
  const volts = Array.from(right);
  for (let i = n - 2; i >= 0; i--) volts[i] = (right[i] as number) - (upper[i] as number) * (volts[i + 1] as number);
  return volts;
}
