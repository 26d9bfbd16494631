import { atOrAbove } from '../../kernel/publishedTable';
import { requireWithin } from '../../kernel/require';
import { LIFT_FREQUENCY } from '../tables/liftFrequency';

/** The revised lifting equation (NIOSH 94-110; recalled). It covers one person with two hands on level ground: no team, no stairs, no one hand. */

export const COUPLINGS = ['good', 'fair', 'poor'] as const;
/** Hours a day on which the frequency factor rests. */
export const LIFT_HOURS = [1, 2, 8] as const;

export interface Lift {
  /** Hands before the ankles, cm. */
  readonly horizontalCm: number;
  /** Hands over the floor, cm. */
  readonly verticalCm: number;
  /** Way up or down, cm. */
  readonly travelCm: number;
  readonly twistDeg: number;
  readonly liftsPerMin: number;
  readonly hours: (typeof LIFT_HOURS)[number];
  readonly coupling: (typeof COUPLINGS)[number];
}

export interface LiftLimit {
  readonly hm: number;
  readonly vm: number;
  readonly dm: number;
  readonly am: number;
  readonly fm: number;
  readonly cm: number;
  /** Recommended weight limit, kg. */
  readonly rwlKg: number;
}

/** Weight that a person may lift where every factor is 1, kg. */
const LOAD_CONSTANT_KG = 23;

/**
 * RWL = 23 · HM · VM · DM · AM · FM · CM, kg.
 *   HM 25/H (1 to 25 cm, 0 over 63) · VM 1 − 0.003·|V − 75| (0 over 175) · DM 0.82 + 4.5/D (1 to 25, 0 over 175) · AM 1 − 0.0032·A (0 over
 *   135°) · FM table 5, the next row up, 0 over 15 a minute · CM good 1, fair 1 or 0.95 under 75 cm, poor 0.90.
 * Valid: H 0…200, V and D 0…300 cm, A 0…180°, F 0…100 a minute. Throws RangeError outside.
 */
export function liftLimit(q: Lift): LiftLimit {
  requireWithin('horizontalCm', q.horizontalCm, 0, 200, 'cm');
  requireWithin('verticalCm', q.verticalCm, 0, 300, 'cm');
  requireWithin('travelCm', q.travelCm, 0, 300, 'cm');
  requireWithin('twistDeg', q.twistDeg, 0, 180, '°');
  requireWithin('liftsPerMin', q.liftsPerMin, 0, 100, 'a minute');
  const { horizontalCm: h, verticalCm: v, travelCm: d, twistDeg: a } = q;
  const low = v < 75;
  const hm = h <= 25 ? 1 : h > 63 ? 0 : 25 / h;
  const vm = v > 175 ? 0 : 1 - 0.003 * Math.abs(v - 75);
  const dm = d <= 25 ? 1 : d > 175 ? 0 : 0.82 + 4.5 / d;
  const am = a > 135 ? 0 : 1 - 0.0032 * a;
  const fm = atOrAbove(LIFT_FREQUENCY, q.liftsPerMin, `${q.hours} h ${low ? 'low' : 'high'}`) ?? 0;
  const cm = q.coupling === 'good' ? 1 : q.coupling === 'poor' ? 0.9 : low ? 0.95 : 1;
  return { hm, vm, dm, am, fm, cm, rwlKg: LOAD_CONSTANT_KG * hm * vm * dm * am * fm * cm };
}
