import type { Metal } from './metal';

/** A cable and how it lies: the words every school is asked with. */

export const INSULATIONS = ['XLPE', 'PVC'] as const;
export const CORES = ['4-core', '5-core', '1-core'] as const;
export const METHODS = ['B1', 'B2', 'C', 'E', 'D1', 'D2'] as const;
export const ARRANGEMENTS_IN_AIR = [
  'bunched',
  'single layer, wall or unperforated tray',
  'single layer under ceiling',
  'single layer, perforated tray',
  'single layer, ladder or cleats',
] as const;
export const SPACINGS_IN_GROUND = ['touching', '0.25 m', '0.5 m'] as const;
export const BREAKER_KINDS = ['moulded-case', 'miniature'] as const;
/** Raceways of the NEC school, with what they are made of. */
export const RACEWAYS = ['PVC 40', 'EMT, steel', 'RMC, steel', 'RMC, aluminium'] as const;
export const RACEWAY_SIZES = ['1/2', '3/4', '1', '1-1/4', '1-1/2', '2', '2-1/2', '3', '3-1/2', '4'] as const;
export const INSULATION_RATINGS_C = [60, 75, 90] as const;
/** Sections of DC cable, mm², rising: those of EN 50618, and between them 14 to 6 AWG. */
export const DC_SECTIONS_MM2 = [2.08, 2.5, 3.31, 4, 5.26, 6, 8.37, 10, 13.3, 16] as const;
export const DC_CABLE_MODES = ['single free in air', 'single on a surface', 'two adjacent on a surface'] as const;

export type Insulation = (typeof INSULATIONS)[number];
export type Cores = (typeof CORES)[number];
export type Method = (typeof METHODS)[number];
export type Arrangement = (typeof ARRANGEMENTS_IN_AIR)[number] | (typeof SPACINGS_IN_GROUND)[number];
export type BreakerKind = (typeof BREAKER_KINDS)[number];
export type Raceway = (typeof RACEWAYS)[number];
export type RacewaySize = (typeof RACEWAY_SIZES)[number];
export type InsulationRatingC = (typeof INSULATION_RATINGS_C)[number];
export type DcCableMode = (typeof DC_CABLE_MODES)[number];

/** What a cable is made of, before anybody chose its section. */
export interface CableKind {
  readonly metal: Metal;
  readonly insulation: Insulation;
  readonly cores: Cores;
  readonly method: Method;
}

/** The same while it is being asked for. Null: nobody has said yet. */
export type AskedKind = { readonly [K in keyof CableKind]: CableKind[K] | null };

/** What the NEC school asks of conductors in a raceway. */
export interface InRaceway {
  readonly raceway: Raceway | null;
  readonly racewaySize: RacewaySize | null;
  /** Parallel sets each in a raceway of their own. */
  readonly racewayPerSet: boolean | null;
  /** Between the raceway and a roof in the sun, mm. */
  readonly roofGapMm: number | null;
  readonly insulationC: InsulationRatingC | null;
  /** The terminals at both ends are marked for 75 °C. */
  readonly terminals75: boolean | null;
}

/** A cable as it lies. Null: nobody has said yet. */
export interface LaidCable extends AskedKind, InRaceway {
  readonly arrangement: Arrangement | null;
  readonly otherCircuits: number | null;
  readonly sectionMm2: number | null;
  readonly parallel: number | null;
  readonly ambientC: number | null;
  readonly sunOnCable: boolean | null;
  readonly soilKmPerW: number | null;
  readonly depthM: number | null;
  readonly ductDiameterMm: number | null;
  readonly cableDiameterMm: number | null;
  /** Third harmonic in the line current, per cent of it; null: symmetric output, the neutral carries next to nothing (common practice). */
  readonly thirdHarmonicPercent: number | null;
}

/** A line conductor with the PE that runs beside it, behind a breaker. */
export interface LineAndPe extends LaidCable {
  readonly breakerA: number | null;
  readonly fullRated: boolean | null;
  readonly peMm2: number | null;
  readonly peMetal: Metal | null;
  readonly externalEarthMetal: Metal | null;
}

/** A breaker where it sits. */
export interface SeatedBreaker {
  readonly breakerKind: BreakerKind | null;
  readonly breakerAmbientC: number | null;
  readonly breakerGroupFactor: number | null;
  /** An assembly listed for 100 % of its rating: the NEC school asks 125 % of others. */
  readonly fullRated: boolean | null;
}

/** A bundle of DC cables. */
export interface DcBundle {
  readonly sectionMm2: number | null;
  readonly mode: DcCableMode | null;
  readonly ambientC: number | null;
  readonly circuitsTogether: number | null;
}

/** Palm of a lug as it was measured or read off its sheet. */
export interface MeasuredPalm {
  readonly palmWidthMm: number | null;
  readonly palmThicknessMm: number | null;
}
