/** Air between neighbouring palms, mm, by line voltage, V: what is wanted (common practice) and what is least (IEC 60664-1; recalled). */
export function palmGapLimitsMm(lineV: number): { wantedMm: number; leastMm: number } {
  return lineV <= 480 ? { wantedMm: 10, leastMm: 3 } : { wantedMm: 14, leastMm: 5.5 };
}
