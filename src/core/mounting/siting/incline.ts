import { requireWithin } from '../../kernel/require';
import type { Judged } from '../../kernel/judgement';

/** How far a unit leans from upright. Degrees; the sheet's limits stand before these of common practice. */
export interface Incline {
  /** Back from upright; forward is negative. */
  readonly backDeg: number;
  /** To the side. */
  readonly rollDeg: number;
  /** The sheet allows it lying on its back, or nearly. */
  readonly flatAllowed: boolean;
  readonly backMostDeg?: number;
  readonly flatLeastDeg?: number;
}

/** Common practice where the sheet is silent: hung plumb within half a degree forward and two to the side, back to 15°, flat from 70°. */
const FORWARD_MOST_DEG = 0.5;
const ROLL_MOST_DEG = 2;
const BACK_MOST_DEG = 15;
const FLAT_LEAST_DEG = 70;
const FLAT_MOST_DEG = 90;

/** Less than this nobody calls flat. */
export const FLAT_ASKED_FROM_DEG = FLAT_LEAST_DEG;

/** Forward or upside down never; to the side within 2°; back within the limit, or flat where the sheet allows it. */
export function inclineVerdict(q: Incline): Judged {
  requireWithin('backDeg', q.backDeg, -180, 180, '°');
  requireWithin('rollDeg', q.rollDeg, -180, 180, '°');
  const { backMostDeg = BACK_MOST_DEG, flatLeastDeg = FLAT_LEAST_DEG } = q;
  if (q.backDeg < -FORWARD_MOST_DEG || Math.abs(q.rollDeg) > ROLL_MOST_DEG) return 'stop';
  const flat = q.flatAllowed && q.backDeg >= flatLeastDeg && q.backDeg <= FLAT_MOST_DEG;
  return q.backDeg <= backMostDeg || flat ? 'holds' : 'stop';
}
