/**
 * Edition 1 → 2. A measured hop belongs to its two ends, a measured home run to the inverter it was measured to, a lock remembers its string,
 * and a drop is accepted for named strings: what edition 1 left to the moment is taken as it stood when the document was written.
 * What nobody said in edition 1 stays unsaid: the defaults of the schema are "not known".
 */

type Part = Readonly<Record<string, unknown>>;

const isPart = (x: unknown): x is Part => typeof x === 'object' && x !== null && !Array.isArray(x);
/** The parts of a list as they are; what is no part is handed on for the schema to refuse. */
const each = (list: unknown, change: (part: Part, at: number, all: readonly unknown[]) => unknown): unknown =>
  Array.isArray(list) ? list.map((x, i) => (isPart(x) ? change(x, i, list) : x)) : list;
const idOf = (x: unknown): unknown => (isPart(x) ? x.id : undefined);

const stringWithEnd = (s: Part): Part => {
  const place = isPart(s.place) ? s.place : null;
  return { ...s, lengthToId: s.lengthM === null || s.lengthM === undefined ? null : (place?.inverterId ?? null) };
};

const deviceWithEnd = (d: Part, at: number, all: readonly unknown[]): Part => ({
  ...d,
  hopFromId: d.hopM === null || d.hopM === undefined ? null : (idOf(all[at - 1]) ?? null),
});

function lockRemembering(lock: Part, strings: unknown): Part {
  if (lock.kind !== 'string' || !Array.isArray(strings)) return lock;
  const s: unknown = strings.find((x) => idOf(x) === lock.stringId);
  if (!isPart(s)) return lock;
  const { number, planeId, modules, place } = s;
  return { ...lock, kept: { number, planeId, modules, place } };
}

export function toEdition2(d: Part): Part {
  const { chain, strings, locks } = d;
  return {
    ...d,
    ...(strings === undefined ? {} : { strings: each(strings, stringWithEnd) }),
    ...(locks === undefined ? {} : { locks: each(locks, (l) => lockRemembering(l, strings)) }),
    ...(isPart(chain) ? { chain: { ...chain, devices: each(chain.devices, deviceWithEnd) } } : {}),
  };
}
