import { withStrings } from '../arrange';
import { newString } from '../../site/parts';
import type { StringsDesign } from '../part';

/** One of two strings that would share a tracker. */
export interface MixPart {
  readonly planeId: string;
  readonly modules: number;
}

/** The design with these two strings on tracker 1 of a unit and nothing else: what a year of it loses is what mixing them costs. */
export function onlyMixed<D extends StringsDesign>(
  design: D,
  inverterId: string,
  parts: readonly [MixPart, MixPart],
): D {
  const strings = parts.map(({ planeId, modules }, i) =>
    newString(`mix-${i + 1}`, i + 1, planeId, modules, { inverterId, tracker: 1, input: i + 1, branch: 1 }),
  );
  return withStrings({ ...design, locks: [] }, strings);
}
