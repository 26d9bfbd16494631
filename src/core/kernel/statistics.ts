/** Middle value; the mean of the two middle ones where the count is even. NaN of nothing. */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const mid = sorted.length >> 1;
  const upper = sorted[mid] ?? Number.NaN;
  return sorted.length % 2 ? upper : ((sorted[mid - 1] ?? Number.NaN) + upper) / 2;
}
