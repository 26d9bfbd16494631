import type { Judged } from '../../kernel/judgement';
import { requirePositive } from '../../kernel/require';
import { within } from '../../kernel/rounding';

/** A hole on the wall, mm: right from the plumb line, up from the level line. */
export interface HolePoint {
  readonly xMm: number;
  readonly yMm: number;
}

/** Past the play but within this share of it a hole may be made a slot (common practice). */
const SLOT_SHARE = 1.5;

export interface RigidFit {
  readonly dxMm: number;
  readonly dyMm: number;
  /** Anticlockwise. */
  readonly turnDeg: number;
  /** Of each hole, what the bracket cannot follow. */
  readonly residualsMm: readonly number[];
  readonly worstMm: number;
  /** Number of the worst hole in the list, from 0. */
  readonly worst: number;
}

/**
 * How the bracket has to move and turn to sit best on the holes as drilled: least squares of a rigid move, about the centroid.
 *   θ = atan2(Σ(p × q), Σ(p · q)), p and q nominal and measured from their centroids.
 * Throws RangeError under two holes, and where the lists are not of one length.
 */
export function rigidFit(nominal: readonly HolePoint[], measured: readonly HolePoint[]): RigidFit {
  if (nominal.length < 2) throw new RangeError(`nominal must have two holes at least (got ${nominal.length})`);
  if (measured.length !== nominal.length)
    throw new RangeError(`measured must have ${nominal.length} holes (got ${measured.length})`);
  const [from, to] = [centroid(nominal), centroid(measured)];
  const pairs = nominal.map((p, i) => {
    const q = measured[i] as HolePoint;
    return { px: p.xMm - from.xMm, py: p.yMm - from.yMm, qx: q.xMm - to.xMm, qy: q.yMm - to.yMm };
  });
  const cross = pairs.reduce((sum, { px, py, qx, qy }) => sum + px * qy - py * qx, 0);
  const dot = pairs.reduce((sum, { px, py, qx, qy }) => sum + px * qx + py * qy, 0);
  const turn = Math.atan2(cross, dot);
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const residualsMm = pairs.map(({ px, py, qx, qy }) => Math.hypot(qx - (c * px - s * py), qy - (s * px + c * py)));
  const worstMm = Math.max(...residualsMm);
  return {
    dxMm: to.xMm - from.xMm,
    dyMm: to.yMm - from.yMm,
    turnDeg: (turn * 180) / Math.PI,
    residualsMm,
    worstMm,
    worst: residualsMm.indexOf(worstMm),
  };
}

/** Play of a bolt in its slot, mm: half of what the slot is wider. */
export const playMm = (slotMm: number, boltMm: number): number => {
  requirePositive({ slotMm, boltMm }, 'slotMm', 'boltMm');
  if (!(slotMm >= boltMm)) throw new RangeError(`slotMm must be ${boltMm} mm at least (got ${slotMm})`);
  return (slotMm - boltMm) / 2;
};

export type HoleAnswer = 'hang it' | 'slot it' | 'drill afresh';
/** Within the play it hangs; to one and a half times the play the hole is slotted; past that it is drilled afresh, two depths away at least, and the old one filled. */
export function fitVerdict(worstMm: number, mostMm: number): { verdict: Judged; answer: HoleAnswer } {
  if (within(worstMm, mostMm)) return { verdict: 'holds', answer: 'hang it' };
  if (within(worstMm, SLOT_SHARE * mostMm)) return { verdict: 'tight', answer: 'slot it' };
  return { verdict: 'stop', answer: 'drill afresh' };
}

function centroid(points: readonly HolePoint[]): HolePoint {
  const n = points.length;
  return {
    xMm: points.reduce((sum, p) => sum + p.xMm, 0) / n,
    yMm: points.reduce((sum, p) => sum + p.yMm, 0) / n,
  };
}
