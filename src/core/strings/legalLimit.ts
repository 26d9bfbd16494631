import type { BUILDINGS, Survey } from '../site/survey';

type Building = (typeof BUILDINGS)[number];

/** Highest DC voltage by school and building, V (NFPA 70 690.7; IEC 62548-1; AS/NZS 5033; recalled). Older IEC editions keep buildings at 1000 V, and dwellings keep to them here. */
const BY_SCHOOL: Readonly<Record<Survey['school'], Readonly<Record<Building, number>>>> = {
  NEC: { 'one- or two-family dwelling': 600, 'other building': 1000, 'not on a building': 1500 },
  IEC: { 'one- or two-family dwelling': 1000, 'other building': 1500, 'not on a building': 1500 },
  'AU/NZ': { 'one- or two-family dwelling': 1000, 'other building': 1500, 'not on a building': 1500 },
};

export interface LegalLimit {
  readonly limitV: number;
  readonly by: string;
}

/**
 * The legal limit in force, V: the smaller of what the survey says and what the school knows of the building. Null while nobody said
 * whether the array is on a building: a typed limit may be the one of another building.
 */
export function legalLimit(survey: Pick<Survey, 'school' | 'building' | 'dcLegalMaxV'>): LegalLimit | null {
  const { school, building, dcLegalMaxV } = survey;
  if (building === null) return null;
  const bySchool = BY_SCHOOL[school][building];
  return dcLegalMaxV !== null && dcLegalMaxV <= bySchool
    ? { limitV: dcLegalMaxV, by: 'legal limit' }
    : { limitV: bySchool, by: `legal limit, ${school}, ${building}` };
}
