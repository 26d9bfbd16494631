import { z } from 'zod';
import { SCHOOL_NAMES } from '../conductor/school';
import type { Answer } from '../kernel/answer';
import { quantity } from '../kernel/schema';

/** Inputs that several calculations of the AC side ask for, in the same words. */
export const school = z.enum(SCHOOL_NAMES).meta({ description: 'School of rules' });
export const metal = z.enum(['Cu', 'Al']).meta({ description: 'Metal' });
export const sectionMm2 = quantity(2, 1000, 'mm²', 'Section of one conductor');
export const amps = (description: string) => quantity(1, 5000, 'A', description);
export const volts = (description: string) => quantity(200, 1000, 'V', description);
export const mm = (description: string) => quantity(1, 200, 'mm', description);

/** A school's answer, or its own words for what it lacks. Throws RangeError, which the API turns into a problem. */
export function answered<T>(answer: Answer<T>): T {
  if (answer.value === null) throw new RangeError(`Not known: ${answer.missing.join(', ')}`);
  return answer.value;
}
