import { requirePositive, requireWithin } from '../../kernel/require';

const G = 9.80665;
const RAD = Math.PI / 180;

/** Factors for loss of balance: 0.9 what holds, 1.1 own weight down the slope, 1.5 wind (EN 1990 A1.2(A), EQU; recalled). */
const HOLDING = 0.9;
const DRIVING = 1.1;
const WIND = 1.5;

/** What rubber and steel hold on, wet (common practice; confirm with a pull on this roof). */
export const FEET_FRICTION = {
  'rubber on bitumen sheet': 0.4,
  'rubber on PVC or TPO membrane': 0.3,
  'rubber on concrete': 0.45,
  'steel on concrete': 0.3,
} as const;
export type FeetSurface = keyof typeof FEET_FRICTION;

export interface RoofStand {
  readonly massKg: number;
  readonly friction: number;
  readonly slopeDeg: number;
  /** Wind sideways and upward, N, and the arm of the first over the roof, m. */
  readonly windN: number;
  readonly upliftN: number;
  readonly windArmM: number;
  /** Centre of gravity to the edge it would tip over, and its height, m. */
  readonly tipArmM: number;
  readonly centreHeightM: number;
}

export interface Ballast {
  /** Mass that neither slides nor tips, kg; null where none would do. */
  readonly againstSlidingKg: number | null;
  readonly againstTippingKg: number | null;
  /** What has to be added, kg; null: fix it mechanically. */
  readonly ballastKg: number | null;
}

/**
 * Ballast of a stand on roof feet: the mass that neither slides nor tips, less its own.
 *   m_slide = 1.5·(F_w + μ·U)/(g·(0.9·μ·cos α − 1.1·sin α)) · m_tip = 1.5·(F_w·h_w + U·b)/(g·(0.9·b·cos α − 1.1·h·sin α))
 * A denominator not above 0 means that no mass holds it. Valid: slope 0…30°, μ over 0 to 1. Throws RangeError outside.
 */
export function ballast(q: RoofStand): Ballast {
  requirePositive(q, 'massKg', 'friction', 'windArmM', 'tipArmM', 'centreHeightM');
  requireWithin('friction', q.friction, 0, 1);
  requireWithin('slopeDeg', q.slopeDeg, 0, 30, '°');
  requireWithin('windN', q.windN, 0, 1e5, 'N');
  requireWithin('upliftN', q.upliftN, 0, 1e5, 'N');
  const [c, s] = [Math.cos(q.slopeDeg * RAD), Math.sin(q.slopeDeg * RAD)];
  const massFor = (drivingN: number, held: number) => (held > 0 ? (WIND * drivingN) / (G * held) : null);
  const againstSlidingKg = massFor(q.windN + q.friction * q.upliftN, HOLDING * q.friction * c - DRIVING * s);
  const againstTippingKg = massFor(
    q.windN * q.windArmM + q.upliftN * q.tipArmM,
    HOLDING * q.tipArmM * c - DRIVING * q.centreHeightM * s,
  );
  const possible = againstSlidingKg !== null && againstTippingKg !== null;
  return {
    againstSlidingKg,
    againstTippingKg,
    ballastKg: possible ? Math.max(0, Math.max(againstSlidingKg, againstTippingKg) - q.massKg) : null,
  };
}

/**
 * What four feet press on a roof, N: R = W/4 ± F_w·h_w/(2·b), the lift taken off the lee side's share of the least one only. b between feet, m.
 *   R_max = W/4 + F_w·h_w/(2b) · R_min = (W − U)/4 − F_w·h_w/(2b).
 */
export function footLoads(q: {
  readonly massKg: number;
  readonly ballastKg: number;
  readonly betweenM: number;
  readonly windN: number;
  readonly windArmM: number;
  readonly upliftN: number;
}): { mostN: number; leastN: number } {
  requirePositive(q, 'massKg', 'betweenM');
  requireWithin('ballastKg', q.ballastKg, 0, 1e5, 'kg');
  const weightN = (q.massKg + q.ballastKg) * G;
  const leverN = (q.windN * q.windArmM) / (2 * q.betweenM);
  return { mostN: weightN / 4 + leverN, leastN: (weightN - q.upliftN) / 4 - leverN };
}

/** Pressure under a foot of two sides, kPa, spread at 45° through what lies under it: R/((f1 + 2t)·(f2 + 2t)), mm. */
export function footPressureKpa(forceN: number, f1Mm: number, f2Mm: number, throughMm = 0): number {
  requirePositive({ f1Mm, f2Mm }, 'f1Mm', 'f2Mm');
  requireWithin('throughMm', throughMm, 0, 1000, 'mm');
  return (forceN / ((f1Mm + 2 * throughMm) * (f2Mm + 2 * throughMm))) * 1000;
}
