import type { Entry } from '$core/proving/entry';
import { kindOf } from '$core/proving/kinds';

/** An entry in one line, as its kind says it: what shows it brings every kind along. */
export const lineOfEntry = (entry: Entry): string => kindOf(entry).line(entry.values);
