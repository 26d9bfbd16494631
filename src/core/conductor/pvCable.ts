import { exactly } from '../kernel/publishedTable';
import { requirePositive, requireWithin } from '../kernel/require';
import { RESISTANCE_PER_K } from './metal';
import { PV_CABLE } from './tables/pvCable';

/**
 * There-and-back resistance of a home run, Ω: 2·L·R_20/1000·(1 + 0.00393(θ − 20)).
 * L one-way length, m (above 0, to 1000) · section 2.5…16 mm² · θ conductor, °C (20…120). Source: IEC 60228, class 5 tinned (recalled).
 * Throws RangeError outside the ranges.
 */
export function homeRunOhm(lengthM: number, sectionMm2: number, conductorC: number): number {
  requirePositive({ lengthM }, 'lengthM');
  requireWithin('lengthM', lengthM, 0, 1000, 'm');
  requireWithin('conductorC', conductorC, 20, 120, '°C');
  const perKm = exactly(PV_CABLE, sectionMm2, 'R20');
  if (perKm === undefined) throw new RangeError(`sectionMm2 must be 2.5, 4, 6, 10 or 16 mm² (got ${sectionMm2})`);
  return ((2 * lengthM * perKm) / 1000) * (1 + RESISTANCE_PER_K.Cu * (conductorC - 20));
}
