import { fixed } from '../../../kernel/quantity';
import { given, known, lacking } from '../../../kernel/answer';
import type { Answer } from '../../../kernel/answer';
import type { LineAndPe } from '../../laid';
import type { School } from '../../school';
import { ampacity, arrangementsFor, sectionsFor } from './ampacity';
import { seatFactors } from '../../breakerAmbient';
import { nextBreakerA } from './breaker';
import { cableDiameter } from './cableDiameter';
import { dcAmpacity } from './dcCable';
import { lugFor } from './lug';
import { externalEarthMinMm2, protectiveEarthRawMm2, standardSectionMm2 } from './protectiveEarth';
import { ADIABATIC_K, ADIABATIC_PVC_MOST_MM2 } from './tables/adiabatic';
import { CONDUCTOR_MAX_C, REACTANCE_OHM_PER_M, conductorOhmPerM } from './resistance';

const or = <T>(value: T | undefined, missing: string): Answer<T> =>
  value === undefined ? lacking(missing) : known(value);

function protectiveEarth(line: LineAndPe): Answer<number> {
  const raw = given(
    {
      section: line.sectionMm2,
      'metal of the lines': line.metal,
      'metal of the PE': line.peMetal,
      insulation: line.insulation,
    },
    (k) => protectiveEarthRawMm2(k.section, k['metal of the lines'], k['metal of the PE'], k.insulation),
  );
  if (raw.value === null) return raw;
  return or(standardSectionMm2(raw.value), `a standard PE section of ${Math.ceil(raw.value)} mm²`);
}

/** An earth of its own beside the PE: as the PE of the cable, and never less than that has to be. A PE that is too thin lowers nothing. */
function externalEarth(line: LineAndPe): Answer<number> {
  const pe = protectiveEarth(line);
  const { peMm2, peMetal, externalEarthMetal, insulation } = line;
  const missing = [
    ...pe.missing,
    ...(peMm2 === null ? ['PE section'] : []),
    ...(externalEarthMetal === null ? ['metal of the external earth'] : []),
  ];
  if (missing.length || pe.value === null || peMm2 === null) return lacking(...missing);
  if (peMetal === null || externalEarthMetal === null || insulation === null) return lacking(...missing);
  return known(externalEarthMinMm2(Math.max(pe.value, peMm2), peMetal, externalEarthMetal, insulation));
}

/** IEC 60364 and the product standards beside it. */
export const IEC: School = {
  name: 'IEC',
  sectionName: (mm2) => `${mm2} mm²`,
  largestFault: { voltageFactor: 1.05, impedanceShare: 1 },
  sections: sectionsFor,
  arrangements: arrangementsFor,
  ampacity,
  conductorOhmPerM(kind, sectionMm2, frequencyHz, tempC) {
    const conductorC = tempC ?? CONDUCTOR_MAX_C[kind.insulation];
    const ohmPerM = conductorOhmPerM(kind.metal, sectionMm2, conductorC, frequencyHz);
    return ohmPerM === undefined
      ? lacking('a resistance of this section')
      : known({ ohmPerM, reactanceOhmPerM: REACTANCE_OHM_PER_M, conductorC });
  },
  adiabaticK: ({ metal, insulation, sectionMm2, place }) =>
    insulation === 'PVC' && sectionMm2 > ADIABATIC_PVC_MOST_MM2
      ? lacking(`k of PVC above ${ADIABATIC_PVC_MOST_MM2} mm² (not in the program yet)`)
      : known(ADIABATIC_K[place][insulation][metal]),
  protectiveEarthMm2: protectiveEarth,
  externalEarthMm2: externalEarth,
  standardSectionMm2: (needed) => or(standardSectionMm2(needed), `a standard section of ${Math.ceil(needed)} mm²`),
  breakerNeed(currentA, seat) {
    const seated = seatFactors(seat);
    if (seated.value === null) return seated;
    const { ambientFactor, factor } = seated.value;
    const neededA = currentA / factor;
    const words = `K = 1 − 0.006·(θ − θ_ref) = ${fixed(ambientFactor, 3)}; I_b / ${fixed(factor, 3)} = ${fixed(neededA, 1)} A`;
    return known({ neededA, ambientFactor, factor, words });
  },
  nextBreakerA: (neededA) => or(nextBreakerA(neededA), 'a standard breaker that large'),
  boardA: (currentsA) => (currentsA.length ? known(currentsA.reduce((sum, a) => sum + a, 0)) : lacking('inverters')),
  lug: (metal, sectionMm2, studM, measured) =>
    or(
      lugFor(metal, sectionMm2, studM, measured),
      `a ${metal} lug of ${sectionMm2} mm² with a hole for M${studM}: the series prints none; measure the palm of the one in hand`,
    ),
  cableDiameter: (cable) => or(cableDiameter(cable), 'cores and section, or measured cable diameter'),
  dcAmpacity,
};
