import type { Answer } from '../kernel/answer';
import { given, known, lacking } from '../kernel/answer';

/** When a unit may connect: windows in per unit of nominal and hertz, delay in seconds; the level at which they trip and over which time it is taken (IEEE 1547-2018 6.4, OV1; EN 50549-1 4.9.3). The operator's letter wins. Recalled. */
export const GRID_CODES = [
  {
    family: 'EN 50549-1 first start',
    vMinPu: 0.85,
    vMaxPu: 1.1,
    fMinHz: 49.5,
    fMaxHz: 50.1,
    delayS: 60,
    tripPu: 1.1,
    tripMean: 'ten-minute mean',
    source: 'EN 50549-1 4.10',
  },
  {
    family: 'EN 50549-1 after a trip',
    vMinPu: 0.85,
    vMaxPu: 1.1,
    fMinHz: 49.5,
    fMaxHz: 50.2,
    delayS: 60,
    tripPu: 1.1,
    tripMean: 'ten-minute mean',
    source: 'EN 50549-1 4.10',
  },
  {
    family: 'VDE-AR-N 4105',
    vMinPu: 0.85,
    vMaxPu: 1.1,
    fMinHz: 47.5,
    fMaxHz: 50.1,
    delayS: 60,
    tripPu: 1.1,
    tripMean: 'ten-minute mean',
    source: 'VDE-AR-N 4105:2018 8.3',
  },
  {
    family: 'IEEE 1547 enter service',
    vMinPu: 0.917,
    vMaxPu: 1.05,
    fMinHz: 59.5,
    fMaxHz: 60.1,
    delayS: 300,
    tripPu: 1.1,
    tripMean: 'mean over 2 s',
    source: 'IEEE 1547-2018 4.10 table 4',
  },
  {
    family: 'generic 90',
    vMinPu: 0.9,
    vMaxPu: 1.1,
    fMinHz: null,
    fMaxHz: null,
    delayS: 90,
    tripPu: 1.1,
    tripMean: 'ten-minute mean',
    source: 'common practice',
  },
] as const;

export type GridCode = (typeof GRID_CODES)[number];

export const GRID_CODE_FAMILIES = GRID_CODES.map((c) => c.family) as readonly GridCode['family'][];

export function gridCodeOf(family: string | null): GridCode | undefined {
  return GRID_CODES.find((c) => c.family === family);
}

/** The window in which units of a site may feed, in volts and hertz, and how long it has to hold first. */
export interface GridWindow {
  readonly code: GridCode;
  readonly nominalV: number;
  readonly minV: number;
  readonly maxV: number;
  readonly minHz: number | null;
  readonly maxHz: number | null;
  readonly delayS: number;
}

/** A grid code's window around a nominal line voltage, V: U_min = u_min·U_n, U_max = u_max·U_n. U_n 200…1000 V. */
export function windowOf(code: GridCode, nominalV: number): GridWindow {
  const { vMinPu, vMaxPu, fMinHz: minHz, fMaxHz: maxHz, delayS } = code;
  return { code, nominalV, minV: vMinPu * nominalV, maxV: vMaxPu * nominalV, minHz, maxHz, delayS };
}

/** The window of a site's grid code and nominal voltage; names what the survey does not say yet. */
export function gridWindow(survey: {
  readonly gridCode: string | null;
  readonly lineV: number | null;
}): Answer<GridWindow> {
  return given({ 'grid code': gridCodeOf(survey.gridCode), 'nominal line voltage': survey.lineV }, (k) =>
    windowOf(k['grid code'], k['nominal line voltage']),
  );
}

/** Level at which units trip, V: the code's per-unit level times the nominal line voltage, as a mean over the code's own time. */
export function tripLevelV(survey: {
  readonly gridCode: string | null;
  readonly lineV: number | null;
}): Answer<number> {
  const code = gridCodeOf(survey.gridCode);
  if (!code) return lacking('grid code with a trip level');
  return survey.lineV === null ? lacking('nominal line voltage') : known(code.tripPu * survey.lineV);
}
