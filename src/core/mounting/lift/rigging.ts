import type { Judged } from '../../kernel/judgement';
import { exactly } from '../../kernel/publishedTable';
import { requirePositive, requireWithin } from '../../kernel/require';
import { within } from '../../kernel/rounding';
import { EYE_BOLTS } from '../tables/eyeBolts';

/** Slings, eye bolts, ropes, hoists and pulleys. Angles from plumb, degrees; tensions in kg as the working load limits are printed. */

const RAD = Math.PI / 180;
const G = 9.80665;
/** No leg leans farther (EN 818-4 and EN 1492-1; recalled); over 45° it is said. */
export const LEAN_MOST_DEG = 60;
export const LEAN_GOOD_DEG = 45;
/** Of a rating: up to here it holds, to all of it it is tight (common practice). */
const RATING_GOOD = 0.8;

/** Use of a rating: to 80 % it holds, to 100 % it is tight. */
const ratingVerdict = (use: number): Judged => (within(use, RATING_GOOD) ? 'holds' : within(use, 1) ? 'tight' : 'stop');

/**
 * Tension of each leg, kg: m/(n·cos β). One leg hangs plumb; two or three share; a stiff load hangs on two of four, so four are refused
 * (common practice). Throws RangeError over 60° and on another count.
 */
export function slingLegKg(q: { readonly massKg: number; readonly legs: number; readonly leanDeg: number }): number {
  requirePositive(q, 'massKg');
  if (![1, 2, 3].includes(q.legs))
    throw new RangeError(`legs must be 1 to 3: a stiff load hangs on two of four (got ${q.legs})`);
  requireWithin('leanDeg', q.leanDeg, 0, q.legs === 1 ? 0 : LEAN_MOST_DEG, '°');
  return q.massKg / (q.legs * Math.cos(q.leanDeg * RAD));
}

/** Tensions of two legs that lean differently, kg: T1 = m·sin β2/sin(β1 + β2), T2 likewise. Throws RangeError over 60°. */
export function unequalLegsKg(massKg: number, lean1Deg: number, lean2Deg: number): readonly [number, number] {
  requirePositive({ massKg }, 'massKg');
  requireWithin('lean1Deg', lean1Deg, 0, LEAN_MOST_DEG, '°');
  requireWithin('lean2Deg', lean2Deg, 0, LEAN_MOST_DEG, '°');
  const both = Math.sin((lean1Deg + lean2Deg) * RAD);
  if (!(both > 0)) throw new RangeError(`lean2Deg must be above 0 ° where the other leg is plumb (got ${lean2Deg})`);
  return [(massKg * Math.sin(lean2Deg * RAD)) / both, (massKg * Math.sin(lean1Deg * RAD)) / both];
}

export interface EyeBoltUse {
  readonly leanDeg: number;
  readonly legKg: number;
  /** Null where the bolt has no rating at this lean. */
  readonly limitKg: number | null;
  readonly use: number | null;
  readonly verdict: Judged;
}

/**
 * Two eye bolts under one hook: lean β = atan(half the spacing/height of the hook), leg m/(2·cos β), against the rating of DIN 580 (recalled):
 * axial at 0°, to 45° the lower one, held against the leg's own tension, which is the safe reading (common practice). Over 45° it stops.
 * Pull in the plane of the ring, shoulder seated. Throws RangeError on a thread off the table.
 */
export function eyeBolts(q: {
  readonly thread: number;
  readonly massKg: number;
  readonly spacingMm: number;
  readonly hookMm: number;
}): EyeBoltUse {
  requirePositive(q, 'massKg', 'hookMm');
  requireWithin('spacingMm', q.spacingMm, 0, 10_000, 'mm');
  const leanDeg = Math.atan2(q.spacingMm / 2, q.hookMm) / RAD;
  const legKg = q.massKg / (2 * Math.cos(leanDeg * RAD));
  const rated = exactly(EYE_BOLTS, q.thread, leanDeg === 0 ? 'axial' : 'to 45°');
  if (rated === undefined) throw new RangeError(`thread must be M8, M10, M12 or M16 (got M${q.thread})`);
  if (leanDeg > LEAN_GOOD_DEG) return { leanDeg, legKg, limitKg: null, use: null, verdict: 'stop' };
  const use = legKg / rated;
  return { leanDeg, legKg, limitKg: rated, use, verdict: ratingVerdict(use) };
}

export const ROPES = ['textile', 'wire', 'chain'] as const;
export type Rope = (typeof ROPES)[number];
/** Least breaking load over working load (Directive 2006/42/EC, annex I 4.1.2.5; recalled). */
export const ROPE_FACTOR: Readonly<Record<Rope, number>> = { textile: 7, wire: 5, chain: 4 };

/** Breaking load that a leg has to have, kN: T·g·SF. */
export function breakingLoadKn(legKg: number, rope: Rope): number {
  requirePositive({ legKg }, 'legKg');
  return (legKg * G * ROPE_FACTOR[rope]) / 1000;
}

/** Use of a hoist: (m + rigging)/rated. */
export function hoistUse(massKg: number, riggingKg: number, ratedKg: number): { use: number; verdict: Judged } {
  requirePositive({ massKg, ratedKg }, 'massKg', 'ratedKg');
  requireWithin('riggingKg', riggingKg, 0, 1000, 'kg');
  const use = (massKg + riggingKg) / ratedKg;
  return { use, verdict: ratingVerdict(use) };
}

/** What hangs plumb, kN: m·g. */
export const hangsKn = (massKg: number): number => (massKg * G) / 1000;

/** Of a fixed pulley (common practice). */
export const PULLEY_EFFICIENCY = 0.9;
/** What one fixed pulley loads its beam with, kN: m·g·(1 + 1/η): the load and the pull on the other side. */
export function pulleyBeamKn(massKg: number, efficiency = PULLEY_EFFICIENCY): number {
  requirePositive({ massKg }, 'massKg');
  requireWithin('efficiency', efficiency, 0.5, 1);
  return hangsKn(massKg) * (1 + 1 / efficiency);
}

/** Pressure of a wheel or foot on the floor, kPa, and its force, N: the load shared evenly by `feet` on an area each. */
export function pointLoad(massKg: number, feet: number, areaMm2: number): { forceN: number; pressureKpa: number } {
  requirePositive({ massKg, feet, areaMm2 }, 'massKg', 'feet', 'areaMm2');
  const forceN = (massKg * G) / feet;
  return { forceN, pressureKpa: (forceN / areaMm2) * 1000 };
}
