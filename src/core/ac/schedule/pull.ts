import type { Metal } from '../../conductor/metal';
import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import { exactly } from '../../kernel/publishedTable';
import { requirePositive, requireWithin } from '../../kernel/require';
import type { Position } from '../../site/position';
import type { AcRun } from '../part';
import { CABLE_MASS } from '../tables/cableMass';

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

/** A way walked from its other end. */
export function reversed(points: readonly Position[]): readonly Position[] {
  return [...points].reverse();
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

/** What a conductor may be pulled by, N/mm² (IEC 60364-5-52 and cable makers; recalled). The lines alone count: a PE may be thinner. */
const MOST_N_PER_MM2: Readonly<Record<Metal, number>> = { Cu: 50, Al: 30 };
const LINES = 3;
/** What the inside of a bend may press, N/m (IEEE 576: 500 lbf/ft; recalled; the maker's own figure wins). */
export const SIDEWALL_MOST_N_PER_M = 7300;

/** Most tension on the conductors of a run pulled together, N. */
export const pullMostN = (metal: Metal, sectionMm2: number, parallel: number): number =>
  MOST_N_PER_MM2[metal] * sectionMm2 * LINES * parallel;

/** Mass of everything that is pulled for a run, kg/m: its cables in parallel, all at once. Five cores as four and a quarter of them more. */
export function pulledKgPerM(run: AcRun, conductors: number): Answer<number> {
  const { metal, cores, sectionMm2, parallel } = run;
  if (metal === null || cores === null || sectionMm2 === null || parallel === null)
    return lacking(
      ...(sectionMm2 === null ? ['section'] : []),
      ...(metal === null ? ['metal of the lines'] : []),
      ...(cores === null ? ['cores'] : []),
      ...(parallel === null ? ['cables in parallel'] : []),
    );
  const one = exactly(CABLE_MASS, sectionMm2, `${cores === '1-core' ? '1-core' : '4-core'} ${metal}`);
  if (one === undefined) return lacking(`mass of a ${cores} cable of ${sectionMm2} mm² ${metal}`);
  const cables = cores === '1-core' ? conductors * parallel : parallel;
  return known(one * cables * (cores === '5-core' ? 5 / 4 : 1));
}
