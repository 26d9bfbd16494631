import { requirePositive } from '../../kernel/require';
import type { Impedance } from '../fault/network';

/** Units that feed through branches of their own into one trunk: the voltages of such a network, solved exactly. */

/** What a unit feeds, W and var of all three phases (var above 0: supplied), over its branch, Ω of one conductor. */
export interface Feeder {
  readonly z: Impedance;
  readonly activeW: number;
  readonly reactiveVar: number;
}

/** Line-to-line voltages, V, by magnitude. */
export interface RadialVoltages {
  /** Behind each segment of the trunk, from the source on; the last is the board. */
  readonly trunkV: readonly number[];
  readonly unitV: readonly number[];
}

interface Complex {
  readonly re: number;
  readonly im: number;
}

/** Share of the source voltage that may still change from one round to the next. */
const SETTLED = 1e-13;
const ROUNDS = 500;
/** Voltages under this share of the source are no state a network works in: it cannot carry the power. */
const COLLAPSED = 0.5;

/** Line current of one conductor, A: I = conj(S/(√3·V)). V line to line as a phasor. */
function currentA(f: Feeder, v: Complex): Complex {
  const over = Math.sqrt(3) * (v.re * v.re + v.im * v.im);
  // conj((P + jQ)/(re + j·im)) = (P − jQ)/(re − j·im)
  return {
    re: (f.activeW * v.re + f.reactiveVar * v.im) / over,
    im: (f.activeW * v.im - f.reactiveVar * v.re) / over,
  };
}

/** V + √3·Z·I, V. */
const behind = (v: Complex, z: Impedance, i: Complex): Complex => ({
  re: v.re + Math.sqrt(3) * (z.ohm * i.re - z.reactanceOhm * i.im),
  im: v.im + Math.sqrt(3) * (z.ohm * i.im + z.reactanceOhm * i.re),
});

const magnitude = (v: Complex) => Math.hypot(v.re, v.im);

/**
 * Voltages of a radial network while every unit feeds a constant power: V_k = V_board + √3·Z_k·I_k, V_board = V_source + √3·ΣZ·ΣI,
 * I_k = conj(S_k/(√3·V_k)), again and again until nothing moves (backward and forward sweep).
 * V_source line to line, V, above 0 (RangeError). Undefined where it does not settle: the network cannot carry this power.
 * Error: under 1e-9 of the voltage. Source: power flow of a radial network, the textbook method.
 */
export function radialVoltages(
  sourceV: number,
  trunk: readonly Impedance[],
  units: readonly Feeder[],
): RadialVoltages | undefined {
  requirePositive({ sourceV }, 'sourceV');
  const source: Complex = { re: sourceV, im: 0 };
  let at: Complex[] = units.map(() => source);
  for (let round = 0; round < ROUNDS; round++) {
    const currents = units.map((u, k) => currentA(u, at[k] ?? source));
    const sum = currents.reduce<Complex>((s, i) => ({ re: s.re + i.re, im: s.im + i.im }), { re: 0, im: 0 });
    const nodes: Complex[] = [];
    let node = source;
    for (const z of trunk) nodes.push((node = behind(node, z, sum)));
    const next = units.map((u, k) => behind(node, u.z, currents[k] ?? sum));
    const moved = Math.max(
      0,
      ...next.map((v, k) => Math.hypot(v.re - (at[k]?.re ?? 0), v.im - (at[k]?.im ?? 0)) / sourceV),
    );
    at = next;
    if (!next.every((v) => magnitude(v) > COLLAPSED * sourceV)) return undefined;
    if (moved < SETTLED) return { trunkV: nodes.map(magnitude), unitV: next.map(magnitude) };
  }
  return undefined;
}
