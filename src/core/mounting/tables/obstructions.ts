/** What stands on walls, with what is kept free round it and whether air passes (common practice; the local gas and lightning rules win). */
export const OBSTRUCTION_KINDS = {
  'door or window': { marginMm: 0, blocksAir: true },
  'wall corner or pilaster': { marginMm: 0, blocksAir: true },
  'cabinet or board': { marginMm: 0, blocksAir: true },
  'pipe or conduit to 120 mm': { marginMm: 150, blocksAir: false },
  'gas pipe, meter or vent': { marginMm: 500, blocksAir: true },
  'lightning down conductor': { marginMm: 500, blocksAir: false },
  'expansion joint or crack': { marginMm: 200, blocksAir: false },
  'air intake or exhaust of the building': { marginMm: 1500, blocksAir: true },
  'anything else': { marginMm: 0, blocksAir: true },
} as const;
export type ObstructionKind = keyof typeof OBSTRUCTION_KINDS;
