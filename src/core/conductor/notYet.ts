import { known, lacking } from '../kernel/answer';
import type { School, SchoolName } from './school';

/** Names, by question, of the tables a school would answer from. */
export type TablesWanted = Readonly<
  Record<
    | Exclude<keyof School, 'name' | 'sections' | 'sectionName' | 'largestFault' | 'arrangements' | 'cableDiameter'>
    | 'diameter',
    string
  >
>;

/** A school none of whose tables is in the program yet: every question is answered with the name of the table it waits for. */
export function schoolToCome(name: SchoolName, tables: TablesWanted): School {
  const wants = (question: keyof TablesWanted) => () => lacking(`${tables[question]} (not in the program yet)`);
  return {
    name,
    // As IEC 60909 has it: without a table of its own nothing else of a fault is answered.
    largestFault: { voltageFactor: 1.05, impedanceShare: 1 },
    sectionName: (mm2) => `${mm2} mm²`,
    sections: () => [],
    arrangements: () => [],
    ampacity: wants('ampacity'),
    conductorOhmPerM: wants('conductorOhmPerM'),
    adiabaticK: wants('adiabaticK'),
    protectiveEarthMm2: wants('protectiveEarthMm2'),
    externalEarthMm2: wants('externalEarthMm2'),
    standardSectionMm2: wants('standardSectionMm2'),
    breakerNeed: wants('breakerNeed'),
    nextBreakerA: wants('nextBreakerA'),
    boardA: wants('boardA'),
    lug: wants('lug'),
    dcAmpacity: wants('dcAmpacity'),
    // A measured cable needs no table.
    cableDiameter: ({ cableDiameterMm: mm }) =>
      mm === null ? wants('diameter')() : known({ lowMm: mm, nominalMm: mm, highMm: mm, coreMm: null, measured: true }),
  };
}
