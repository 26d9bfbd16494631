export interface Lengths {
  readonly min: number;
  readonly max: number;
}

/** Strings that may share N modules out whole; null where lengths of lo…hi cannot. */
export function stringCounts(modules: number, { min, max }: Lengths): { fewest: number; most: number } | null {
  const fewest = Math.ceil(modules / max);
  const most = Math.floor(modules / min);
  return modules > 0 && min <= max && fewest <= most ? { fewest, most } : null;
}

/**
 * Lengths that cut N modules into strings of lo…hi with the fewest left over, longest first, equal lengths preferred.
 * N can be cut whole iff ⌈N/hi⌉ ≤ ⌊N/lo⌋; s strings then have ⌊N/s⌋ or ⌈N/s⌉ modules. Otherwise as many as fit at hi.
 * `wanted` asks for that many strings where they can be had. A window that is upside down holds no length: nothing is cut.
 */
export function cutPlane(modules: number, lengths: Lengths, wanted?: number): number[] {
  if (lengths.max < lengths.min) return [];
  const can = stringCounts(modules, lengths);
  if (!can) return Array.from({ length: Math.floor(modules / lengths.min) }, () => lengths.max);
  const few = Array.from({ length: Math.min(3, can.most - can.fewest + 1) }, (_, i) => can.fewest + i);
  // One length on the whole plane is worth a string or two more: fewer mistakes on the roof.
  const evenly = few.find((s) => modules % s === 0) ?? can.fewest;
  const count = wanted === undefined ? evenly : Math.min(can.most, Math.max(can.fewest, wanted));
  const short = Math.floor(modules / count);
  const long = modules - short * count;
  return Array.from({ length: count }, (_, i) => (i < long ? short + 1 : short));
}

/** Fewest modules that strings of lo…hi leave over, by the closed form alone: 0 iff ⌈N/hi⌉ ≤ ⌊N/lo⌋, else N − ⌊N/lo⌋·hi. */
export function leastLeft(modules: number, { min, max }: Lengths): number {
  if (max < min) return modules;
  return Math.ceil(modules / max) <= Math.floor(modules / min) ? 0 : modules - Math.floor(modules / min) * max;
}
