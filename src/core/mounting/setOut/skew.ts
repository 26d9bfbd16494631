import { requirePositive } from '../../kernel/require';

/** What two diagonals say of a rectangle of holes: a and b its sides, d1 and d2 its measured diagonals, mm. */
export interface Diagonals {
  readonly d1Mm: number;
  readonly d2Mm: number;
  readonly aMm: number;
  readonly bMm: number;
}

/** Skew asin((d1² − d2²)/(4ab)), degrees, and shift of one side along itself (d1² − d2²)/(4a), mm. Throws RangeError on lengths not above 0 and diagonals no rectangle has. */
export function skewOf(q: Diagonals): { skewDeg: number; shiftMm: number } {
  requirePositive({ ...q }, 'd1Mm', 'd2Mm', 'aMm', 'bMm');
  const difference = q.d1Mm ** 2 - q.d2Mm ** 2;
  const sine = difference / (4 * q.aMm * q.bMm);
  if (!(Math.abs(sine) <= 1))
    throw new RangeError(`d2Mm must be a diagonal of ${q.aMm} × ${q.bMm} mm beside ${q.d1Mm} (got ${q.d2Mm})`);
  return { skewDeg: (Math.asin(sine) * 180) / Math.PI, shiftMm: difference / (4 * q.aMm) };
}
