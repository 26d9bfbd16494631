import type { School, SchoolName } from './school';
import { AU_NZ } from './schools/auNz';
import { IEC } from './schools/iec';
import { NEC } from './schools/nec';

export * as nec from './schools/nec/own';

const SCHOOLS: Readonly<Record<SchoolName, School>> = { IEC, NEC, 'AU/NZ': AU_NZ };

/** The school by whose rules a site is judged. */
export const schoolOf = (name: SchoolName): School => SCHOOLS[name];
