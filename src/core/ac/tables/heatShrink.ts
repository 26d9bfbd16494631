/** Heat-shrink sleeves, mm: shrink ratio, inner diameter as supplied and after recovery (common sizes of the trade, common practice). */
export const HEAT_SHRINK: readonly {
  readonly ratio: string;
  readonly suppliedMm: number;
  readonly recoveredMm: number;
}[] = [
  { ratio: '2:1', suppliedMm: 12.7, recoveredMm: 6.4 },
  { ratio: '2:1', suppliedMm: 19.1, recoveredMm: 9.5 },
  { ratio: '2:1', suppliedMm: 25.4, recoveredMm: 12.7 },
  { ratio: '2:1', suppliedMm: 38.1, recoveredMm: 19.1 },
  { ratio: '2:1', suppliedMm: 50.8, recoveredMm: 25.4 },
  { ratio: '3:1', suppliedMm: 12, recoveredMm: 4 },
  { ratio: '3:1', suppliedMm: 18, recoveredMm: 6 },
  { ratio: '3:1', suppliedMm: 24, recoveredMm: 8 },
  { ratio: '3:1', suppliedMm: 39, recoveredMm: 13 },
  { ratio: '4:1', suppliedMm: 12, recoveredMm: 3 },
  { ratio: '4:1', suppliedMm: 16, recoveredMm: 4 },
  { ratio: '4:1', suppliedMm: 24, recoveredMm: 6 },
  { ratio: '4:1', suppliedMm: 32, recoveredMm: 8 },
  { ratio: '4:1', suppliedMm: 52, recoveredMm: 13 },
];
