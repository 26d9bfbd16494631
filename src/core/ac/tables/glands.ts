/** Metric glands: size and the cables each clamps, mm (common practice; the sheet of the gland wins). */
export const GLANDS: readonly { readonly name: string; readonly minMm: number; readonly maxMm: number }[] = [
  { name: 'M16', minMm: 5, maxMm: 10 },
  { name: 'M20', minMm: 6, maxMm: 12 },
  { name: 'M25', minMm: 10, maxMm: 18 },
  { name: 'M32', minMm: 15, maxMm: 25 },
  { name: 'M40', minMm: 20, maxMm: 32 },
  { name: 'M50', minMm: 28, maxMm: 38 },
  { name: 'M63', minMm: 35, maxMm: 48 },
  { name: 'M75', minMm: 45, maxMm: 60 },
];
