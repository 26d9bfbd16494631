import type { StringsDesign } from '../part';
import { claims } from './claims';
import { lengths, power, trackers } from './electrical';
import { modulesAccountedFor, places, stringsOnce } from './hanging';
import { lockKept } from './locks';
import { placedStrings } from './placed';
import type { StatedLayout, Violation } from './violation';

export type { StatedLayout, Violation } from './violation';
export { violationSchema } from './violation';

/**
 * Looks at a layout with fresh eyes: from the design alone, with limits of its own and no code that makes a layout or its window. Empty when it is legal.
 * V01 modules accounted for · V02 length inside the window · V03 one class and one length a tracker · V04 every string on an input of its
 * own that exists, a Y-branch apart · V05 tracker and connector currents · V06 maximum DC power · V07 no string twice · V08 locks kept ·
 * V09 objective as stated · V10 best only where proved · V11 coldest-morning voltage by the sheet · V12 fuses where strings need them.
 */
export function verifyLayout(design: StringsDesign, stated?: StatedLayout): Violation[] {
  const placed = placedStrings(design);
  return [
    ...modulesAccountedFor(design, stated),
    ...stringsOnce(design),
    ...places(design, placed),
    ...lengths(design, placed),
    ...trackers(design, placed),
    ...power(design, placed),
    ...design.locks.flatMap((lock) => lockKept(design, lock, placed)),
    ...(stated ? claims(design, placed, stated) : []),
  ];
}
