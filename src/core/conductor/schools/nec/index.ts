import { known, lacking } from '../../../kernel/answer';
import { seatFactors } from '../../breakerAmbient';
import { schoolToCome } from '../../notYet';
import type { School } from '../../school';
import { fixed } from '../../../kernel/quantity';
import { ampacity, nextOcpdA, sizesFor } from './ampacity';
import { CONTINUOUS, equipmentEarthMm2 } from './equipmentEarth';
import { dcAmpacity } from './dcCable';
import { conductorOhmPerM } from './impedance';
import { nextSizeMm2, sizeName } from './sizes';
import { LUG_COLOURS } from './tables/lugColours';
import { adiabaticK } from './withstand';

/** What waits for its table. */
const TO_COME = schoolToCome('NEC', {
  ampacity: 'NFPA 70, Table 310.16 with 310.15',
  conductorOhmPerM: 'NFPA 70, chapter 9, Table 9',
  adiabaticK: 'ICEA P-32-382, withstand of insulated conductors',
  protectiveEarthMm2: 'NFPA 70, Table 250.122',
  externalEarthMm2: 'NFPA 70, Table 250.122 and 690.43',
  standardSectionMm2: 'NFPA 70, chapter 9, Table 8',
  breakerNeed: 'NFPA 70, 690.8 and 690.9(B)',
  nextBreakerA: 'NFPA 70, 240.6(A)',
  boardA: 'NFPA 70, 705.12(B)',
  lug: 'a lug series for AWG and kcmil, or the palm of the lug in hand',
  diameter: 'outer diameters of AWG cables, or a measured cable diameter',
  dcAmpacity: 'an ampacity table of the NEC school for DC cable',
});

/** NFPA 70, the National Electrical Code. Sections are areas of American sizes, mm². Article and table numbers recalled. */
export const NEC: School = {
  ...TO_COME,
  sectionName: sizeName,
  // The impedance of a transformer may be a tenth less than its plate says; no voltage factor (common practice).
  largestFault: { voltageFactor: 1, impedanceShare: 0.9 },
  sections: ({ metal }) => sizesFor(metal),
  ampacity,
  conductorOhmPerM: ({ metal, raceway }, sectionMm2, _frequencyHz, tempC) =>
    conductorOhmPerM(metal, raceway, sectionMm2, tempC),
  adiabaticK: (c) => known(adiabaticK(c)),
  protectiveEarthMm2: equipmentEarthMm2,
  // Bonded by a conductor of its own: as the equipment grounding conductor (690.43 with 250.122).
  externalEarthMm2(line, currentA) {
    if (line.externalEarthMetal === null) return lacking('metal of the external earth');
    return equipmentEarthMm2({ ...line, peMetal: line.externalEarthMetal }, currentA);
  },
  standardSectionMm2(neededMm2) {
    const size = nextSizeMm2(neededMm2);
    return size === undefined ? lacking('a size above 1000 kcmil') : known(size);
  },
  /** The larger of 125 % of the current, 100 % in an assembly listed for it, and the current over what the ambient leaves. */
  breakerNeed(currentA, seat) {
    const seated = seatFactors(seat);
    if (seated.value === null) return seated;
    const { ambientFactor, factor } = seated.value;
    const duty = seat.fullRated ? 1 : CONTINUOUS;
    const neededA = Math.max(duty * currentA, currentA / factor);
    const words = `${duty} · I_b = ${fixed(duty * currentA, 1)} A; I_b / ${fixed(factor, 3)} in its ambient = ${fixed(currentA / factor, 1)} A`;
    return known({ neededA, ambientFactor, factor, words });
  },
  nextBreakerA(neededA) {
    const rating = nextOcpdA(neededA);
    return rating === undefined ? lacking('a standard breaker that large') : known(rating);
  },
  dcAmpacity,
  boardA: (currentsA) => (currentsA.length ? known(currentsA.reduce((sum, a) => sum + a, 0)) : lacking('inverters')),
  /** No series is printed for the palm: the lug in hand gives it, the die goes by colour. */
  lug(metal, sectionMm2, studM, { palmWidthMm, palmThicknessMm }) {
    const colour = LUG_COLOURS.find(([area]) => area === sectionMm2)?.[1];
    if (metal !== 'Cu' || colour === undefined || palmWidthMm === null)
      return lacking(
        `a lug of ${sizeName(sectionMm2)} ${metal} with a hole for M${studM}: measure the palm of the one in hand`,
      );
    return known({
      sectionMm2,
      studM,
      dieCode: colour,
      palmWidthMm,
      palmThicknessMm,
      thicknessIsBound: palmThicknessMm === null,
      crimps: null,
      stripMm: null,
      barrelOuterMm: null,
      barrelDepthMm: null,
      source: 'colours of copper lugs, common practice',
    });
  },
};
