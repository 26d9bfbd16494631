import type { Answer } from '../kernel/answer';
import type {
  CableKind,
  DcBundle,
  Insulation,
  LaidCable,
  LineAndPe,
  MeasuredPalm,
  Method,
  Raceway,
  SeatedBreaker,
} from './laid';
import type { Metal } from './metal';

/** Schools of rules for conductors, breakers and lugs: one interface, one folder each. */
export const SCHOOL_NAMES = ['IEC', 'NEC', 'AU/NZ'] as const;
export type SchoolName = (typeof SCHOOL_NAMES)[number];

/** Current a cable may carry, with the table it comes from. */
export interface Ampacity {
  readonly izA: number;
  readonly source: string;
  /** Piece of the way that rules; absent or null where the way is one. */
  readonly where?: string | null;
  /** Surroundings and conductor that it is reckoned for, °C; absent where the table says no one temperature. */
  readonly reckonedAt?: { readonly ambientC: number; readonly conductorC: number };
  /** Written when somebody reads it: hundreds of cables are tried for one that is looked at. */
  readonly working: () => readonly string[];
}

/** Current a DC cable may carry, A: where it lies, and at its ends where the school judges those by themselves. */
export interface DcAmpacity {
  readonly mayA: number;
  /** At the ends, A, against so many times the current that flows for hours. */
  readonly ends: { readonly mayA: number; readonly duty: number } | null;
  readonly words: string;
}

/** AC resistance and reactance of a conductor, Ω/m, at the temperature of full load, °C. */
export interface LoadedResistance {
  readonly ohmPerM: number;
  readonly reactanceOhmPerM: number;
  readonly conductorC: number;
}

/** What a breaker has to be rated for to carry a current where it sits. */
export interface BreakerNeed {
  readonly neededA: number;
  /** Of its ambient alone, and with the neighbours. */
  readonly ambientFactor: number;
  readonly factor: number;
  readonly words: string;
}

/** A compression lug for a section and a stud. Null where no sheet or standard gives the figure. */
export interface Lug {
  readonly sectionMm2: number;
  readonly studM: number;
  /** Number of the die, or its colour. */
  readonly dieCode: number | string;
  readonly palmWidthMm: number | null;
  /** Upper bound: twice the wall of the barrel. */
  readonly palmThicknessMm: number | null;
  readonly thicknessIsBound: boolean;
  readonly crimps: number | null;
  readonly stripMm: number | null;
  readonly barrelOuterMm: number | null;
  readonly barrelDepthMm: number | null;
  readonly source: string;
}

/** Outer diameter of a cable, mm: as measured, or built up with the spread of real cables. */
export interface Diameter {
  readonly lowMm: number;
  readonly nominalMm: number;
  readonly highMm: number;
  /** Of one insulated core, mm; null where no table gives it. */
  readonly coreMm: number | null;
  readonly measured: boolean;
}

/** A conductor that a short circuit heats: a core of the cable, or laid by itself. */
export interface ShortCircuited {
  readonly metal: Metal;
  readonly insulation: Insulation;
  readonly sectionMm2: number;
  readonly place: 'core' | 'separate';
}

/**
 * What a school answers. A question whose table is not in the program names that table as missing; no school borrows another's.
 */
export interface School {
  readonly name: SchoolName;
  /** A section by the name it is bought by. */
  sectionName(sectionMm2: number): string;
  /** For the largest short-circuit current: factor on the voltage, and share of a transformer's impedance that counts. */
  readonly largestFault: { readonly voltageFactor: number; readonly impedanceShare: number };
  /** Sections with a tabulated current, mm², rising; empty where the school has no table here. */
  sections(kind: CableKind): readonly number[];
  /** How circuits of a method may lie together. */
  arrangements(method: Method): readonly string[];
  ampacity(cable: LaidCable): Answer<Ampacity>;
  /** AC resistance of one conductor at full load, or at a temperature, °C, and the temperature it has then. */
  conductorOhmPerM(
    kind: Pick<CableKind, 'metal' | 'insulation'> & { readonly raceway: Raceway | null },
    sectionMm2: number,
    frequencyHz: number,
    tempC?: number,
  ): Answer<LoadedResistance>;
  /** k of the adiabatic equation, A·√s/mm². */
  adiabaticK(conductor: ShortCircuited): Answer<number>;
  /** PE section for line conductors that carry the current, mm². */
  protectiveEarthMm2(line: LineAndPe, currentA: number): Answer<number>;
  /** External chassis earth, mm². */
  externalEarthMm2(line: LineAndPe, currentA: number): Answer<number>;
  /** The next standard section at or above, mm². */
  standardSectionMm2(neededMm2: number): Answer<number>;
  breakerNeed(currentA: number, seat: SeatedBreaker): Answer<BreakerNeed>;
  /** The next standard rating at or above, A. */
  nextBreakerA(neededA: number): Answer<number>;
  /** Current of these sources together, A: they peak at one moment. */
  boardA(currentsA: readonly number[]): Answer<number>;
  /** The lug for a section and a stud. */
  lug(metal: Metal, sectionMm2: number, studM: number, measured: MeasuredPalm): Answer<Lug>;
  cableDiameter(cable: Pick<LaidCable, 'cores' | 'sectionMm2' | 'cableDiameterMm'>): Answer<Diameter>;
  /** Current one DC cable of a bundle may carry. */
  dcAmpacity(bundle: DcBundle): Answer<DcAmpacity>;
}
