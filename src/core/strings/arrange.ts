import type { Place, PvString } from '../site/parts';
import { newString, placeKey } from '../site/parts';
import type { Lock, StringsDesign } from './part';

/** Changes of the string side: each takes a design and gives a new one. Nothing is changed in place. */

/** All strings at once, as a layout gives them. Locks stay, also on what is gone: only a hand takes them off. */
export function withStrings<D extends StringsDesign>(d: D, strings: readonly PvString[]): D {
  return { ...d, strings: [...strings] };
}

/** A string with the measured length bound to the inverter it hangs on, where nobody said what it was measured to. */
export function withLengthBound(string: PvString): PvString {
  return string.lengthM === null || string.lengthToId !== null
    ? string
    : { ...string, lengthToId: string.place?.inverterId ?? null };
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

/** A lock on a string that remembers it: number, plane, length and place as they are now. Other locks as they are. */
export function remembering(lock: Lock, strings: readonly PvString[]): Lock {
  if (lock.kind !== 'string' || lock.kept !== null) return lock;
  const string = strings.find((s) => s.id === lock.stringId);
  if (!string) return lock;
  const { number, planeId, modules, place } = string;
  return { ...lock, kept: { number, planeId, modules, place } };
}

const stringLocks = ({ locks }: StringsDesign) =>
  locks.flatMap((l) => (l.kind === 'string' && l.kept ? [{ id: l.stringId, kept: l.kept }] : []));

/** The design with every locked string as its lock remembers it: there, as long, on its input. Whoever hangs on that input now hangs nowhere. */
export function withLockedRestored<D extends StringsDesign>(d: D): D {
  const locked = new Map(stringLocks(d).map((l) => [l.id, l.kept]));
  if (locked.size === 0) return d;
  const claimed = new Set([...locked.values()].flatMap((k) => (k.place ? [placeKey(k.place)] : [])));
  const present = new Set(d.strings.map((s) => s.id));
  const restored = d.strings.map((s): PvString => {
    const kept = locked.get(s.id);
    if (kept) return { ...s, planeId: kept.planeId, modules: kept.modules, place: kept.place };
    return s.place && claimed.has(placeKey(s.place)) ? { ...s, place: null } : s;
  });
  const numbers = new Set(d.strings.map((s) => s.number));
  const back = [...locked].flatMap(([id, { number, planeId, modules, place }]): PvString[] => {
    if (present.has(id)) return [];
    let free = number;
    while (numbers.has(free)) free++;
    numbers.add(free);
    return [newString(id, free, planeId, modules, place)];
  });
  return { ...d, strings: [...restored, ...back] };
}

/** What is asked for where a lock remembers a plane or an inverter that is gone. */
export function lockedAndGone(d: StringsDesign): string[] {
  const has = (items: readonly { readonly id: string }[], id: string) => items.some((i) => i.id === id);
  return stringLocks(d).flatMap(({ kept: { number, planeId, place } }) => [
    ...(has(d.planes, planeId) ? [] : [`the plane of locked string ${number}, or its lock taken off`]),
    ...(place === null || has(d.inverters, place.inverterId)
      ? []
      : [`the inverter of locked string ${number}, or its lock taken off`]),
  ]);
}

/** Two locks on the same thing: the later one takes the place of the earlier. */
export function sameLock(a: Lock, b: Lock): boolean {
  const key = (l: Lock) =>
    [l.kind, 'stringId' in l && l.stringId, 'planeId' in l && l.planeId, 'inverterId' in l && l.inverterId].join('|');
  return key(a) === key(b);
}
