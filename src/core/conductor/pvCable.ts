import { exactly } from '../kernel/publishedTable';
import { requirePositive, requireWithin } from '../kernel/require';
import { DC_SECTIONS_MM2 } from './laid';
import { RESISTANCE_PER_K } from './metal';
import { AMERICAN_DC_CABLE } from './tables/americanDcCable';
import { PV_CABLE } from './tables/pvCable';

/** Temperature of Table 8, °C, and the rise of R from there, 1/K (NFPA 70, chapter 9, Table 8, note 2; recalled). */
const TABLE_8_C = 75;
const PER_K_75C = 0.00323;

/** Resistance of a DC conductor at a temperature, Ω/km; undefined for a section that no table prints. */
function ohmPerKm(sectionMm2: number, conductorC: number): number | undefined {
  const r20 = exactly(PV_CABLE, sectionMm2, 'R20');
  if (r20 !== undefined) return r20 * (1 + RESISTANCE_PER_K.Cu * (conductorC - 20));
  const r75 = exactly(AMERICAN_DC_CABLE, sectionMm2, 'R75');
  return r75 && r75 * (1 + PER_K_75C * (conductorC - TABLE_8_C));
}

/**
 * There-and-back resistance of a home run, Ω: 2·L·R/1000, R_20·(1 + 0.00393(θ − 20)), of American sizes R_75·(1 + 0.00323(θ − 75)).
 * L one-way length, m (above 0, to 1000) · section 2.08…16 mm² · θ conductor, °C (20…120). Source: IEC 60228, class 5 tinned; NFPA 70,
 * chapter 9, Table 8 (recalled). Throws RangeError outside the ranges.
 */
export function homeRunOhm(lengthM: number, sectionMm2: number, conductorC: number): number {
  requirePositive({ lengthM }, 'lengthM');
  requireWithin('lengthM', lengthM, 0, 1000, 'm');
  requireWithin('conductorC', conductorC, 20, 120, '°C');
  const perKm = ohmPerKm(sectionMm2, conductorC);
  if (perKm === undefined)
    throw new RangeError(`sectionMm2 must be one of ${DC_SECTIONS_MM2.join(', ')} mm² (got ${sectionMm2})`);
  return (2 * lengthM * perKm) / 1000;
}
