import type { Judged } from '../../kernel/judgement';
import { atOrAbove, exactly } from '../../kernel/publishedTable';
import { requirePositive, requireWithin } from '../../kernel/require';
import { within } from '../../kernel/rounding';
import type { BoltClass } from '../tables/metricThreads';
import { METRIC_THREADS, PROOF_STRESS } from '../tables/metricThreads';

/** Of the proof load: under the first it works loose, to the second it holds, to the third it is tight (common practice). */
const LOOSE_UNDER = 0.4;
const PROOF_GOOD = 0.75;
const PROOF_MOST = 0.9;

/** What people find under a nut, and the friction it stands for: K of T = K·d·F (common practice). */
export const NUT_FRICTION = {
  'waxed or moly-greased': 0.12,
  'oiled steel, or stainless with anti-seize': 0.15,
  'zinc plated, dry, as delivered': 0.18,
  'hot-dip galvanised, dry, or plain dry': 0.2,
} as const;
/** Both ends of what is met: a torque is looked at with each. */
export const FRICTION_ENDS = [0.12, 0.2] as const;

export interface Preload {
  readonly forceN: number;
  readonly stressAreaMm2: number;
  /** Share of the proof load. */
  readonly use: number;
  readonly verdict: Judged;
}

/** Stress area of a thread, mm²: π/4·(d − 0.938194·p)² (ISO 898-1; recalled). Throws RangeError on a thread off the table. */
function stressAreaMm2(thread: number): number {
  const pitchMm = exactly(METRIC_THREADS, thread, 'pitch');
  if (pitchMm === undefined) throw new RangeError(`thread must be M6, M8, M10, M12, M16 or M20 (got M${thread})`);
  return (Math.PI / 4) * (thread - 0.938194 * pitchMm) ** 2;
}

/**
 * Preload of a bolt from its torque: F = T/(K·d), used of the proof load S_p·A_s (ISO 898-1, ISO 3506-1; recalled). Steel fixings only: studs
 * of AC terminals have their own table. ≤ 75 % holds, ≤ 90 % is tight, over it stops; under 40 % it works loose and is tight.
 * Valid: K 0.08…0.35. Throws RangeError outside and on a thread off the table.
 */
export function preload(q: {
  readonly torqueNm: number;
  readonly friction: number;
  readonly thread: number;
  readonly boltClass: BoltClass;
}): Preload {
  requirePositive(q, 'torqueNm');
  requireWithin('friction', q.friction, 0.08, 0.35);
  const area = stressAreaMm2(q.thread);
  const proofMpa = atOrAbove(PROOF_STRESS, q.thread, q.boltClass) as number;
  const forceN = q.torqueNm / (q.friction * (q.thread / 1000));
  const use = forceN / (proofMpa * area);
  const good = use >= LOOSE_UNDER && within(use, PROOF_GOOD);
  return { forceN, stressAreaMm2: area, use, verdict: good ? 'holds' : within(use, PROOF_MOST) ? 'tight' : 'stop' };
}
