import type { Answer } from '../../kernel/answer';
import { requirePositive, requireWithin } from '../../kernel/require';
import type { Position } from '../../site/position';

/** Pulling a cable along its way: what the rope feels, and how hard the cable lies in its bends. */

const GRAVITY = 9.80665;

/** One straight piece of the way: metres along the plan, metres up (below 0: down), and the turn at its end, rad. */
export interface PullLeg {
  readonly alongM: number;
  readonly upM: number;
  readonly bendRad: number;
}

export interface Pull {
  /** At the rope, N. */
  readonly tensionN: number;
  /** Against the inside of the worst bend, N a metre. */
  readonly sidewallNPerM: number;
}

/**
 * Tension of a pull, N: on the straight w·g·(μ·l + h), in a bend times e^(μ·θ), never under 0; sidewall pressure T/R behind each bend.
 * kgPerM mass of all cables pulled together, above 0 · μ 0.05…1 · R radius of the bends, m, above 0 (RangeError). Source: capstan equation, as
 * in IEEE 576 (recalled); the weight inside a bend is left out.
 */
export function pullOf(legs: readonly PullLeg[], kgPerM: number, friction: number, radiusM: number): Pull {
  requirePositive({ kgPerM, radiusM }, 'kgPerM', 'radiusM');
  requireWithin('friction', friction, 0.05, 1);
  let [tensionN, sidewallNPerM] = [0, 0];
  for (const { alongM, upM, bendRad } of legs) {
    tensionN = Math.max(0, tensionN + kgPerM * GRAVITY * (friction * alongM + upM));
    if (bendRad === 0) continue;
    tensionN *= Math.exp(friction * bendRad);
    sidewallNPerM = Math.max(sidewallNPerM, tensionN / radiusM);
  }
  return { tensionN, sidewallNPerM };
}

/** Two points are one where a drawing cannot tell them apart, m. */
const ONE_POINT_M = 1e-6;

/** The straight pieces between the corners of a way, with the turn at each. */
export function legsOf(points: readonly Position[]): PullLeg[] {
  const steps = points.slice(1).flatMap((b, i) => {
    const a = points[i] as Position;
    const d = [b.xM - a.xM, b.yM - a.yM, b.zM - a.zM] as const;
    const lengthM = Math.hypot(...d);
    return lengthM > ONE_POINT_M ? [{ d, lengthM }] : [];
  });
  return steps.map(({ d, lengthM }, i) => {
    const next = steps[i + 1];
    const cos = next ? (d[0] * next.d[0] + d[1] * next.d[1] + d[2] * next.d[2]) / (lengthM * next.lengthM) : 1;
    const bendRad = Math.acos(Math.min(1, Math.max(-1, cos)));
    return { alongM: Math.hypot(d[0], d[1]), upM: d[2], bendRad: bendRad < ONE_POINT_M ? 0 : bendRad };
  });
}

/** A pull from the end that takes less of it. */
export interface ChosenPull {
  readonly from: 'board' | 'unit';
  readonly pull: Pull;
  /** From the other end. */
  readonly otherN: number;
  readonly turnsRad: number;
}

/** From which end a way is pulled with the lesser tension: the rope stands at the named end. Points from the unit to the board. */
export function easierEnd(points: readonly Position[], kgPerM: number, friction: number, radiusM: number): ChosenPull {
  const legs = legsOf(points);
  const toBoard = pullOf(legs, kgPerM, friction, radiusM);
  const toUnit = pullOf(legsOf([...points].reverse()), kgPerM, friction, radiusM);
  const turnsRad = legs.reduce((sum, l) => sum + l.bendRad, 0);
  return toBoard.tensionN <= toUnit.tensionN
    ? { from: 'board', pull: toBoard, otherN: toUnit.tensionN, turnsRad }
    : { from: 'unit', pull: toUnit, otherN: toBoard.tensionN, turnsRad };
}

/** A run along its way on the plan, as it would be pulled. */
export interface PulledRun {
  readonly tag: string;
  readonly id: string;
  readonly kgPerM: Answer<number>;
  readonly chosen: Answer<ChosenPull>;
  readonly mostN: Answer<number>;
}
