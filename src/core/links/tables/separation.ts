/** Distance S between a data cable and power cables in parallel, mm, by separation class and barrier (EN 50174-2:2009; recalled). */
export const SEPARATION_MM = {
  a: { none: 300, 'open metallic': 225, 'perforated metallic': 150, 'solid metallic': 0 },
  b: { none: 100, 'open metallic': 75, 'perforated metallic': 50, 'solid metallic': 0 },
  c: { none: 50, 'open metallic': 38, 'perforated metallic': 25, 'solid metallic': 0 },
  d: { none: 10, 'open metallic': 8, 'perforated metallic': 5, 'solid metallic': 0 },
} as const;

/** Factor P on that distance, by the most circuits of 230 V and 20 A it is for (EN 50174-2:2009; recalled). */
export const CIRCUITS_FACTOR: readonly (readonly [mostCircuits: number, factor: number])[] = [
  [3, 0.2],
  [6, 0.4],
  [9, 0.6],
  [12, 0.8],
  [15, 1],
  [30, 2],
  [45, 3],
  [60, 4],
  [75, 5],
  [Infinity, 6],
];
