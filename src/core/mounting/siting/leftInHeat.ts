import type { SiteInverter } from '../../site/parts';
import type { MountingDesign } from '../part';
import { COLDEST_AIR_C, HOTTEST_AIR_C, derating } from './derating';
import { airAtUnits } from './unitAir';

/**
 * Share of its rating that a unit still gives, 0…1, by the air outside, °C: the air at the unit is as much warmer than outside as on the
 * hottest day, which is too warm for a room on days of half load, and so never in the unit's favour. Null where that air or the altitude is
 * not known.
 */
export function leftInHeat(d: MountingDesign): (unit: SiteInverter) => ((ambientC: number) => number) | null {
  const { altitudeM, hottestC } = d.survey;
  const airOf = airAtUnits(d);
  return (unit) => {
    const air = airOf(unit).value;
    if (air === null || altitudeM === null || hottestC === null) return null;
    const warmerK = air.airC - hottestC;
    return (ambientC) =>
      derating(Math.max(COLDEST_AIR_C, Math.min(HOTTEST_AIR_C, ambientC + warmerK)), altitudeM).factor;
  };
}
