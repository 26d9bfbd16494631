import type { AcBay } from '../equipment/inverterType';
import type { Metal } from '../kernel/conductor';
import { exactly } from '../kernel/publishedTable';
import type { AcRun } from '../site/siteDesign';
import { CABLE_DIAMETER } from './tables/cableDiameter';
import { LUGS_ALUMINIUM } from './tables/lugsAluminium';
import { LUGS_COPPER } from './tables/lugsCopper';
import { STUD_TORQUE } from './tables/studTorque';

/** A compression lug for a section and a stud. Null where no sheet or standard gives the figure. */
export interface Lug {
  readonly sectionMm2: number;
  readonly studM: number;
  readonly dieCode: number;
  readonly palmWidthMm: number | null;
  /** Upper bound: twice the wall of the barrel. */
  readonly palmThicknessMm: number | null;
  readonly thicknessIsBound: boolean;
  readonly crimps: number | null;
  readonly stripMm: number | null;
  readonly source: string;
}

type PalmColumn = 'palm M8' | 'palm M10' | 'palm M12' | 'palm M16';

/** Growth of the conductor in the crimp, mm (common practice). */
const stripAllowanceMm = (sectionMm2: number) => (sectionMm2 <= 50 ? 2 : 4);

/**
 * The lug for a section and stud; undefined where the standard has none with that hole.
 * Measured palm figures outrank the table. Aluminium lugs have no standard palm: null until measured or read off their sheet.
 */
export function lugFor(
  metal: Metal,
  sectionMm2: number,
  studM: AcBay['studM'],
  measured: Pick<AcRun, 'palmWidthMm' | 'palmThicknessMm'>,
): Lug | undefined {
  const table = metal === 'Cu' ? LUGS_COPPER : LUGS_ALUMINIUM;
  const dieCode = exactly(table, sectionMm2, 'die code');
  if (dieCode === undefined) return undefined;
  const palm =
    metal === 'Cu' && studM >= 8 ? exactly(LUGS_COPPER, sectionMm2, `palm M${studM}` as PalmColumn) : undefined;
  if (metal === 'Cu' && palm === undefined && measured.palmWidthMm === null) return undefined;
  const bound = metal === 'Cu' ? exactly(LUGS_COPPER, sectionMm2, 'palm thickness bound') : undefined;
  const depth = metal === 'Cu' ? exactly(LUGS_COPPER, sectionMm2, 'barrel depth') : undefined;
  return {
    sectionMm2,
    studM,
    dieCode,
    palmWidthMm: measured.palmWidthMm ?? palm ?? null,
    palmThicknessMm: measured.palmThicknessMm ?? bound ?? null,
    thicknessIsBound: measured.palmThicknessMm === null,
    crimps: metal === 'Cu' ? (exactly(LUGS_COPPER, sectionMm2, 'crimps 5 mm die') ?? null) : null,
    stripMm: depth === undefined ? null : depth + stripAllowanceMm(sectionMm2),
    source: table.source,
  };
}

/** Air between neighbouring palms, mm: what is wanted (common practice) and what is least (IEC 60664-1; recalled). */
export function palmGapLimitsMm(lineV: number): { wantedMm: number; leastMm: number } {
  return lineV <= 480 ? { wantedMm: 10, leastMm: 3 } : { wantedMm: 14, leastMm: 5.5 };
}

export interface Diameter {
  readonly lowMm: number;
  readonly nominalMm: number;
  readonly highMm: number;
  readonly measured: boolean;
}

/** Cable diameter: as measured, or the built-up one with its −3…+10 % of real cables (common practice). */
export function cableDiameter(run: Pick<AcRun, 'cores' | 'sectionMm2' | 'cableDiameterMm'>): Diameter | undefined {
  if (run.cableDiameterMm !== null) {
    const mm = run.cableDiameterMm;
    return { lowMm: mm, nominalMm: mm, highMm: mm, measured: true };
  }
  const mm = run.sectionMm2 === null ? undefined : exactly(CABLE_DIAMETER, run.sectionMm2, run.cores);
  return mm === undefined ? undefined : { lowMm: 0.97 * mm, nominalMm: mm, highMm: 1.1 * mm, measured: false };
}

/** What to do with the gland's removable inner seal. */
export function sealAdvice(d: Diameter, splitMm: number | null): string {
  if (splitMm === null) return 'No removable seal on the data sheet.';
  if (d.lowMm >= splitMm) return `Remove the inner seal (cable from ${splitMm} mm up).`;
  return d.highMm < splitMm
    ? `Keep the inner seal (cable under ${splitMm} mm).`
    : `Measure the cable: the inner seal comes out from ${splitMm} mm up.`;
}

export interface TorqueTarget {
  readonly lowNm: number;
  readonly highNm: number;
  /** What to set a tool to: the middle of the window. */
  readonly setNm: number;
  readonly origin: 'data sheet' | 'stud table';
  readonly source: string;
}

/** Torque of the AC studs: the data sheet's; without one the typical range for the thread, and it says so. */
export function torqueTarget(bay: AcBay): TorqueTarget | undefined {
  if (bay.torqueMinNm !== null && bay.torqueMaxNm !== null) {
    return {
      lowNm: bay.torqueMinNm,
      highNm: bay.torqueMaxNm,
      setNm: (bay.torqueMinNm + bay.torqueMaxNm) / 2,
      origin: 'data sheet',
      source: 'data sheet: AC stud torque',
    };
  }
  const lowNm = exactly(STUD_TORQUE, bay.studM, 'typical low');
  const highNm = exactly(STUD_TORQUE, bay.studM, 'typical high');
  if (lowNm === undefined || highNm === undefined) return undefined;
  return {
    lowNm,
    highNm,
    setNm: (lowNm + highNm) / 2,
    origin: 'stud table',
    source: `typical range for M${bay.studM}: ${STUD_TORQUE.source}`,
  };
}

/** Window to set a tool of relative error e to, N·m: [lo/(1 − e), hi/(1 + e)]; e 6 % up to 10 N·m, else 4 % (ISO 6789-1; recalled). */
export function settingWindowNm(lowNm: number, highNm: number): { lowNm: number; highNm: number } {
  const e = highNm <= 10 ? 0.06 : 0.04;
  return { lowNm: lowNm / (1 - e), highNm: highNm / (1 + e) };
}
