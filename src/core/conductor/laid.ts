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
export const DC_SECTIONS_MM2 = [2.5, 4, 6, 10, 16] as const;
export const DC_CABLE_MODES = ['single free in air', 'single on a surface', 'two adjacent on a surface'] as const;

export type Insulation = (typeof INSULATIONS)[number];
export type Cores = (typeof CORES)[number];
export type Method = (typeof METHODS)[number];
export type Arrangement = (typeof ARRANGEMENTS_IN_AIR)[number] | (typeof SPACINGS_IN_GROUND)[number];
export type BreakerKind = (typeof BREAKER_KINDS)[number];
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

/** A cable as it lies. Null: nobody has said yet. */
export interface LaidCable extends AskedKind {
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
}

/** A line conductor with the PE that runs beside it. */
export interface LineAndPe {
  readonly sectionMm2: number | null;
  readonly metal: Metal | null;
  readonly peMm2: number | null;
  readonly peMetal: Metal | null;
  readonly externalEarthMetal: Metal | null;
  readonly insulation: Insulation | null;
}

/** A breaker where it sits. */
export interface SeatedBreaker {
  readonly breakerKind: BreakerKind | null;
  readonly breakerAmbientC: number | null;
  readonly breakerGroupFactor: number | null;
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
