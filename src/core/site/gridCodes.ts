/** When a unit may connect: windows in per unit of nominal and hertz, delay in seconds. The operator's letter wins. Recalled. */
export const GRID_CODES = [
  {
    family: 'EN 50549-1 first start',
    vMinPu: 0.85,
    vMaxPu: 1.1,
    fMinHz: 49.5,
    fMaxHz: 50.1,
    delayS: 60,
    tenMinutePu: 1.1,
    source: 'EN 50549-1 4.10',
  },
  {
    family: 'EN 50549-1 after a trip',
    vMinPu: 0.85,
    vMaxPu: 1.1,
    fMinHz: 49.5,
    fMaxHz: 50.2,
    delayS: 60,
    tenMinutePu: 1.1,
    source: 'EN 50549-1 4.10',
  },
  {
    family: 'VDE-AR-N 4105',
    vMinPu: 0.85,
    vMaxPu: 1.1,
    fMinHz: 47.5,
    fMaxHz: 50.1,
    delayS: 60,
    tenMinutePu: 1.1,
    source: 'VDE-AR-N 4105:2018 8.3',
  },
  {
    family: 'IEEE 1547 enter service',
    vMinPu: 0.917,
    vMaxPu: 1.05,
    fMinHz: 59.5,
    fMaxHz: 60.1,
    delayS: 300,
    tenMinutePu: null,
    source: 'IEEE 1547-2018 4.10 table 4',
  },
  {
    family: 'generic 90',
    vMinPu: 0.9,
    vMaxPu: 1.1,
    fMinHz: null,
    fMaxHz: null,
    delayS: 90,
    tenMinutePu: 1.1,
    source: 'common practice',
  },
] as const;

export type GridCode = (typeof GRID_CODES)[number];

export function gridCodeOf(family: string | null): GridCode | undefined {
  return GRID_CODES.find((c) => c.family === family);
}
