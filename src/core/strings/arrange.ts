import type { Place, PvString } from '../site/parts';
import { placeKey } from '../site/parts';
import type { Lock, StringsDesign } from './part';

/** Changes of the string side: each takes a design and gives a new one. Nothing is changed in place. */

/** Locks whose string, plane or inverter is still there. */
export function withoutLooseLocks<D extends StringsDesign>(d: D): D {
  const has = (items: readonly { readonly id: string }[], id: string) => items.some((i) => i.id === id);
  const locks = d.locks.filter(
    (l) =>
      (!('stringId' in l) || has(d.strings, l.stringId)) &&
      (!('planeId' in l) || has(d.planes, l.planeId)) &&
      (!('inverterId' in l) || has(d.inverters, l.inverterId)),
  );
  return locks.length === d.locks.length ? d : { ...d, locks };
}

/** All strings at once, as a layout gives them. */
export function withStrings<D extends StringsDesign>(d: D, strings: readonly PvString[]): D {
  return withoutLooseLocks({ ...d, strings: [...strings] });
}

/** Hangs a string on an input, or off every input. Where another string hangs, the two change places. Throws RangeError on an unknown id. */
export function withStringAt<D extends StringsDesign>(d: D, stringId: string, place: Place | null): D {
  const moved = d.strings.find((s) => s.id === stringId);
  if (!moved) throw new RangeError(`stringId must name a string of the design (got ${stringId})`);
  const key = place && placeKey(place);
  const strings = d.strings.map((s) => {
    if (s.id === stringId) return { ...s, place };
    if (key && s.place && placeKey(s.place) === key) return { ...s, place: moved.place };
    return s;
  });
  return { ...d, strings: withoutLoneBranches(strings) };
}

/** A Y-branch whose first string went elsewhere is no Y any more: its second string takes the input. */
function withoutLoneBranches(strings: PvString[]): PvString[] {
  if (strings.every((s) => s.place?.branch !== 2)) return strings;
  const firsts = new Set(strings.flatMap((s) => (s.place?.branch === 1 ? [placeKey(s.place)] : [])));
  return strings.map((s) =>
    s.place?.branch === 2 && !firsts.has(placeKey({ ...s.place, branch: 1 }))
      ? { ...s, place: { ...s.place, branch: 1 } }
      : s,
  );
}

/** Takes strings off every input for which `off` is true. */
export function withoutPlaces<D extends StringsDesign>(d: D, off: (place: Place) => boolean): D {
  return { ...d, strings: d.strings.map((s) => (s.place && off(s.place) ? { ...s, place: null } : s)) };
}

/** Two locks on the same thing: the later one takes the place of the earlier. */
export function sameLock(a: Lock, b: Lock): boolean {
  const key = (l: Lock) =>
    [l.kind, 'stringId' in l && l.stringId, 'planeId' in l && l.planeId, 'inverterId' in l && l.inverterId].join('|');
  return key(a) === key(b);
}
