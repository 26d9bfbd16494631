import type { Packed } from '../../equipment/inverterBody';

/** What came against what should have come: how many units can be finished with it. */

/** One thing as it was counted, over all boxes. */
export interface Counted {
  readonly item: string;
  readonly got: number;
  /** Of those, not to be used. */
  readonly damaged: number;
}
export interface ReceivedRow {
  readonly item: string;
  readonly expected: number;
  readonly whole: number;
  readonly short: number;
  readonly over: number;
}
export interface Receiving {
  readonly rows: readonly ReceivedRow[];
  /** min over the packing list of ⌊whole/per unit⌋, at most the units. */
  readonly unitsComplete: number;
}

/**
 * Whole = got − damaged; short and over against units × per unit; things nobody expected are over whole. Throws RangeError on more damaged than came,
 * on a thing counted twice, and on counts below 0.
 */
export function receiving(units: number, packing: readonly Packed[], counted: readonly Counted[]): Receiving {
  const wholes = new Map<string, number>();
  for (const { item, got, damaged } of counted) {
    if (!(got >= 0 && damaged >= 0 && damaged <= got))
      throw new RangeError(`damaged must be 0 to what came (got ${damaged} of ${got}: ${item})`);
    if (wholes.has(item)) throw new RangeError(`item must be counted once (got ${item} twice)`);
    wholes.set(item, got - damaged);
  }
  const listed = packing.map(({ item, perUnit }): ReceivedRow => {
    const [expected, whole] = [units * perUnit, wholes.get(item) ?? 0];
    return { item, expected, whole, short: Math.max(0, expected - whole), over: Math.max(0, whole - expected) };
  });
  const known = new Set(packing.map((p) => p.item));
  const others = [...wholes].flatMap(([item, whole]): ReceivedRow[] =>
    known.has(item) ? [] : [{ item, expected: 0, whole, short: 0, over: whole }],
  );
  const complete = packing.map(({ item, perUnit }) => Math.floor((wholes.get(item) ?? 0) / perUnit));
  return { rows: [...listed, ...others], unitsComplete: Math.min(units, ...complete) };
}

/** The counts of several boxes as one. */
export function pooled(boxes: readonly (readonly Counted[])[]): Counted[] {
  const sums = new Map<string, { got: number; damaged: number }>();
  for (const { item, got, damaged } of boxes.flat()) {
    const sum = sums.get(item) ?? { got: 0, damaged: 0 };
    sums.set(item, { got: sum.got + got, damaged: sum.damaged + damaged });
  }
  return [...sums].map(([item, sum]) => ({ item, ...sum }));
}
