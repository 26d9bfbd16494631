import { requirePositive, requireWithin } from '../../kernel/require';

/** Half the density of air, kg/m³: q = 0.625·v². */
const HALF_DENSITY = 0.625;
/** Force factor of a flat sharp-edged body (EN 1991-1-4, 7.4; recalled). */
const FORCE_FACTOR = 1.8;

/** Wind on an exposed frame, N: 0.625·v²·c_f·A. v the peak gust, m/s 0…90 (a ten-minute mean times 1.5, common practice) · A m². */
export function windForceN(gustMs: number, areaM2: number, forceFactor = FORCE_FACTOR): number {
  requireWithin('gustMs', gustMs, 0, 90, 'm/s');
  requirePositive({ areaM2, forceFactor }, 'areaM2', 'forceFactor');
  return HALF_DENSITY * gustMs ** 2 * forceFactor * areaM2;
}
