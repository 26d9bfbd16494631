import type { Candidates } from './candidates';
import type { GapSchool, WallUnit } from './problem';
import { gapBetween } from './problem';

/** Rows of units of one kind, one over the other at most: R = ⌊(y_max − y_min)/(h + v)⌋ + 1; one where nothing may be stacked. */
export function rowsOf(unit: WallUnit, at: Candidates, gaps: GapSchool, stacking: boolean): number {
  if (!stacking || at.yMm.length === 0) return 1;
  const { stackedMm } = gapBetween(unit, unit, gaps);
  return Math.floor((maxOf(at.yMm) - minOf(at.yMm)) / (unit.heightMm + stackedMm)) + 1;
}

/**
 * The least that k units of one kind can cost, for k = 0, 1, 2 …; infinite where so many do not fit at all.
 *
 * One row by the row programme f_k(x) = cost(x) + min f_{k−1}(z), z + w + s ≤ x, each x at its cheapest height. More than one row: units nearer
 * than s sideways must stand v apart upward. Call a unit's level one more than the highest level under it of those so near: units of one level are
 * far enough apart to make a row, and one of level r stands r·(h + v) over the lowest place at least. So no layout is cheaper than the cheapest
 * way to share k units among rows of which the r-th begins there. Exact where there is one row.
 */
export function leastCosts(unit: WallUnit, at: Candidates, most: number, gaps: GapSchool, stacking: boolean): number[] {
  const { besideMm, stackedMm } = gapBetween(unit, unit, gaps);
  const lowest = minOf(at.yMm);
  const row = (level: number) =>
    rowOf(at, unit.widthMm + besideMm, most, lowest + level * (unit.heightMm + stackedMm)).map((r) => r.cost);
  let shared = row(0);
  for (let level = 1; level < Math.min(rowsOf(unit, at, gaps, stacking), most); level++) {
    const own = row(level);
    const before = shared;
    shared = own.map((_, k) => Math.min(...own.slice(0, k + 1).map((cost, i) => cost + (before[k - i] as number))));
  }
  return shared;
}

/** The cheapest row of so many units, by candidate from left to right; null where they do not stand in one row. */
export function cheapestRow(unit: WallUnit, at: Candidates, units: number, gaps: GapSchool): readonly number[] | null {
  const row = rowOf(at, unit.widthMm + gapBetween(unit, unit, gaps).besideMm, units, Number.NEGATIVE_INFINITY)[units];
  if (!row || row.cost === Number.POSITIVE_INFINITY) return null;
  const places: number[] = [];
  for (let last = row.last; last; last = last.before) places.unshift(last.candidate);
  return places;
}

/** The last unit of a row, with the row before it. */
interface InRow {
  readonly candidate: number;
  readonly before: InRow | null;
}
interface Row {
  readonly cost: number;
  readonly last: InRow | null;
}
const NO_ROW: Row = { cost: Number.POSITIVE_INFINITY, last: null };

/** The cheapest row of k units a step apart at least and no lower than `fromMm`, for k = 0 … most. */
function rowOf(at: Candidates, stepMm: number, most: number, fromMm: number): Row[] {
  const cheapest = new Map<number, number>();
  // Candidates come cheapest first: the first of a column is its cheapest.
  at.xMm.forEach((x, i) => {
    if (!cheapest.has(x) && (at.yMm[i] as number) >= fromMm) cheapest.set(x, i);
  });
  const columns = [...cheapest].sort((a, b) => a[0] - b[0]);
  const rows: Row[] = [{ cost: 0, last: null }];
  /** Of each column, the cheapest row of k units whose last stands there or before it. */
  let before: Row[] = columns.map(() => ({ cost: 0, last: null }));
  for (let k = 1; k <= most; k++) {
    let best = NO_ROW;
    let z = -1;
    const here: Row[] = [];
    for (const [x, candidate] of columns) {
      while (z + 1 < columns.length && (columns[z + 1] as [number, number])[0] + stepMm <= x) z += 1;
      const rest: Row = k === 1 ? (rows[0] as Row) : z < 0 ? NO_ROW : (before[z] as Row);
      const cost = (at.cost[candidate] as number) + rest.cost;
      if (cost < best.cost) best = { cost, last: { candidate, before: rest.last } };
      here.push(best);
    }
    rows.push(best);
    before = here;
  }
  return rows;
}

const minOf = (list: Float64Array): number => list.reduce((a, b) => Math.min(a, b), Number.POSITIVE_INFINITY);
const maxOf = (list: Float64Array): number => list.reduce((a, b) => Math.max(a, b), Number.NEGATIVE_INFINITY);

/** How many units of a width stand in a free strip from a to b with a gap between them: ⌊(b − a − w)/(w + s)⌋ + 1, at least 0. */
export const rowCapacity = (fromMm: number, toMm: number, widthMm: number, gapMm: number): number =>
  Math.max(0, Math.floor((toMm - fromMm - widthMm) / (widthMm + gapMm)) + 1);
