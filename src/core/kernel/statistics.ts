/** Middle value; the mean of the two middle ones where the count is even. NaN of nothing. */
export const median = (values: readonly number[]): number => medianOfSorted(new Float64Array(values).sort());

/** The same of values that stand in rising order already. */
export function medianOfSorted(sorted: ArrayLike<number>): number {
  const mid = sorted.length >> 1;
  const upper = sorted[mid] ?? Number.NaN;
  return sorted.length % 2 ? upper : ((sorted[mid - 1] ?? Number.NaN) + upper) / 2;
}
