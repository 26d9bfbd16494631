/** By mounting: offset of a hot cell over ambient (common practice), rear-to-cell step at 1000 W/m² (King et al. 2004, SAND2004-3535, recalled), rear-side share (common practice). */
export const MODULE_MOUNTING = {
  ground_rack: { words: 'open rack on the ground', hotOffsetK: 25, rearToCellK: 3, rearRatio: 0.1 },
  tracker: { words: 'single-axis tracker', hotOffsetK: 25, rearToCellK: 3, rearRatio: 0.12 },
  flat_roof_low: {
    words: 'low-tilt frames on a flat roof; free air under the modules',
    hotOffsetK: 30,
    rearToCellK: 3,
    rearRatio: 0.03,
  },
  flat_roof_white: { words: 'same on a white membrane', hotOffsetK: 30, rearToCellK: 3, rearRatio: 0.06 },
  pitched_gap: {
    words: 'parallel to a pitched roof; gap 100 mm or more',
    hotOffsetK: 32,
    rearToCellK: 1,
    rearRatio: 0.0,
  },
  pitched_close: { words: 'parallel to a roof; gap under 100 mm', hotOffsetK: 36, rearToCellK: 1, rearRatio: 0.0 },
  flush: { words: 'built in or insulated back', hotOffsetK: 42, rearToCellK: 0, rearRatio: 0.0 },
} as const;

export type ModuleMounting = keyof typeof MODULE_MOUNTING;
