import { requirePositive } from '../../kernel/require';
import { HEAT_SHRINK } from '../tables/heatShrink';

/** A lug with its conductor, as a sleeve has to cover it, mm. */
export interface LugBody {
  readonly barrelOuterMm: number;
  readonly barrelDepthMm: number;
  readonly coreMm: number;
  readonly palmWidthMm: number;
  readonly palmThicknessMm: number;
}

export interface Sleeve {
  readonly ratio: string;
  readonly suppliedMm: number;
  readonly recoveredMm: number;
  /** It slips over the palm; one that does not goes on before the lug. */
  readonly overPalm: boolean;
  readonly cutMm: number;
}

/** Room to slip it on, and grip once it is shrunk, share (common practice). */
const ROOM = 1.1;
const GRIP = 0.9;
/** Over the insulation beyond the barrel, mm, and what shrinking takes of the length, share (common practice). */
const OVERLAP_MM = 30;
const LENGTH_KEPT = 0.9;

/** Diameter of the tube that a palm would fill if it were round, mm: 2·(w + t)/π, for a tube flattens over it. */
export const palmAsTubeMm = ({
  palmWidthMm,
  palmThicknessMm,
}: Pick<LugBody, 'palmWidthMm' | 'palmThicknessMm'>): number => (2 * (palmWidthMm + palmThicknessMm)) / Math.PI;

/**
 * The sleeve for a lug: recovered ≤ 0.9·min(barrel, core), supplied ≥ 1.1·max(barrel, core); over the palm if supplied ≥ 1.1 times
 * the palm as a tube. The smallest that slips over the palm, else the smallest. Cut (barrel depth + 30 mm)/0.9. All mm, above 0 (RangeError).
 * Null where no sleeve of the table grips. Common practice.
 */
export function sleeveFor(lug: LugBody): Sleeve | null {
  requirePositive(lug, 'barrelOuterMm', 'barrelDepthMm', 'coreMm', 'palmWidthMm', 'palmThicknessMm');
  const thin = Math.min(lug.barrelOuterMm, lug.coreMm);
  const thick = Math.max(lug.barrelOuterMm, lug.coreMm);
  const palmMm = ROOM * palmAsTubeMm(lug);
  const fitting = HEAT_SHRINK.filter((s) => s.recoveredMm <= GRIP * thin && s.suppliedMm >= ROOM * thick)
    .map((s) => ({ ...s, overPalm: s.suppliedMm >= palmMm }))
    .sort((a, b) => a.suppliedMm - b.suppliedMm || a.recoveredMm - b.recoveredMm);
  const best = fitting.find((s) => s.overPalm) ?? fitting[0];
  return best ? { ...best, cutMm: (lug.barrelDepthMm + OVERLAP_MM) / LENGTH_KEPT } : null;
}
