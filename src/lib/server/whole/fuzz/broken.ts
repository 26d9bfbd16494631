import fc from 'fast-check';

/** Documents with something put in place of one of their parts, whatever its schema says of it. */

type Path = readonly (string | number)[];

/** Where something can stand in a document, its whole first. */
function placesIn(value: unknown, at: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [at];
  const own = Array.isArray(value) ? value.map((v, i) => [i, v] as const) : Object.entries(value);
  return [at, ...own.flatMap(([key, v]) => placesIn(v, [...at, key]))];
}

const nested = (depth: number): unknown => (depth === 0 ? 1 : [nested(depth - 1)]);

/** What nobody means, and what breaks programs: other types, edges of number ranges, texts that no database keeps, names that objects have. */
const ODD: readonly unknown[] = [
  null,
  true,
  0,
  -1,
  0.5,
  1e308,
  -1e308,
  5e-324,
  2 ** 31,
  2 ** 53,
  '',
  ' ',
  'nonsense',
  '12',
  'a\u0000b',
  'half \ud800',
  'x'.repeat(70_000),
  '2026-02-30',
  '01969A00-0000-7000-8000-00000000000A',
  "'; drop table site; --",
  '<script>alert(1)</script>',
  [],
  [null],
  {},
  { constructor: { prototype: {} }, toString: 1 },
  nested(70),
];

/** Nothing: the part is taken out. */
const GONE = Symbol('gone');

function put(value: unknown, [key, ...rest]: Path, odd: unknown): unknown {
  if (key === undefined) return odd;
  const copy = (Array.isArray(value) ? [...value] : { ...(value as object) }) as Record<string | number, unknown>;
  if (rest.length === 0 && odd === GONE) delete copy[key];
  else copy[key] = put(copy[key], rest, odd);
  return Array.isArray(copy) ? copy.filter((v) => v !== undefined) : copy;
}

/** A document with one part replaced, taken out, or said too often. */
export const broken = (sample: fc.Arbitrary<unknown>): fc.Arbitrary<unknown> =>
  sample.chain((value) => {
    const places = placesIn(value);
    const place = fc.nat({ max: places.length - 1 }).map((i) => places[i] as Path);
    const replaced = fc.tuple(place, fc.constantFrom(...ODD)).map(([p, odd]) => put(value, p, odd));
    const taken = place.map((p) => (p.length ? put(value, p, GONE) : null));
    const often = place.map((p) => {
      const part = p.reduce<unknown>((at, key) => (at as Record<string | number, unknown>)[key], value);
      return put(
        value,
        p,
        Array.from({ length: 400 }, () => part),
      );
    });
    return fc.oneof(
      { weight: 8, arbitrary: replaced },
      { weight: 3, arbitrary: taken },
      { weight: 1, arbitrary: often },
    );
  });

/** Whether a document holds a text that nothing keeps, or lies deeper than anything ours. */
export function unkeepable(value: unknown, depth = 0): boolean {
  if (typeof value === 'string') return value.includes('\u0000') || !value.isWellFormed();
  if (typeof value !== 'object' || value === null) return false;
  return depth >= 64 || Object.entries(value).some(([k, v]) => unkeepable(k) || unkeepable(v, depth + 1));
}

/** Whether a pointer leads to a part of a document, or to a place in a part where something is missing. */
export function leadsInto(document: unknown, pointer: string): boolean {
  if (pointer === '') return true;
  if (!pointer.startsWith('/')) return false;
  const keys = pointer
    .slice(1)
    .split('/')
    .map((k) => k.replaceAll('~1', '/').replaceAll('~0', '~'));
  let at: unknown = document;
  for (const key of keys.slice(0, -1)) {
    if (typeof at !== 'object' || at === null || !Object.hasOwn(at, key)) return false;
    at = (at as Record<string, unknown>)[key];
  }
  return typeof at === 'object' && at !== null;
}
