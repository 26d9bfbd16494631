import { z } from 'zod';

/** Building blocks of every schema: ids, names and quantities with their unit and range. */

/** Ids of parts of a design: short, readable, safe in a file and a URL. */
export const partId = z.string().regex(/^[A-Za-z0-9][A-Za-z0-9_-]{0,59}$/, 'Use letters, digits, - and _, at most 60.');
/** An id made by a program. Small letters alone: one id is not to be two to whoever compares texts. */
export const uuid = (error = 'Enter a UUID.') => z.uuid(error).lowercase('Write the UUID in small letters.');
/** Longest name of a part, characters. */
export const NAME_MOST = 60;
export const partName = z.string().trim().min(1, 'Enter a name.').max(NAME_MOST);

/** A number in a range, with the unit and the words that forms and the API show. */
export function quantity(min: number, max: number, unit: string, description: string) {
  const range = `${description}: ${min} to ${max}${unit && ` ${unit}`}.`;
  return z.number({ error: 'Enter a number.' }).min(min, range).max(max, range).meta({ unit, description });
}

/** A choice out of a list that stands elsewhere. */
export const enumOf = <T extends string>(values: readonly T[]) => z.enum(values as [T, ...T[]]);

/** A number that a calculation answers, with its unit and the words that the bench and the API show. */
export const figure = (unit: string, description: string) => z.number().meta({ unit, description });
