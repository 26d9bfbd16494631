import type { AcBay } from '../equipment/inverterType';
import { exactly } from '../kernel/publishedTable';
import { STUD_TORQUE } from './tables/studTorque';

export interface TorqueTarget {
  readonly lowNm: number;
  readonly highNm: number;
  /** What to set a tool to: the middle of the window. */
  readonly setNm: number;
  readonly origin: 'data sheet' | 'stud table';
  readonly source: string;
}

/** Spread of a torque that a sheet gives as one figure, share (common practice). */
const ONE_FIGURE_SPREAD = 0.1;

/** The window of a sheet, N·m: as printed, or about the one figure it prints. Null while it prints none, or prints it upside down. */
function windowOnSheet({ torqueMinNm: low, torqueMaxNm: high }: AcBay) {
  const one = low === null || high === null || low === high ? (low ?? high) : null;
  if (one !== null)
    return {
      lowNm: (1 - ONE_FIGURE_SPREAD) * one,
      highNm: (1 + ONE_FIGURE_SPREAD) * one,
      source: 'data sheet: AC stud torque, one figure ±10 % (common practice)',
    };
  return low !== null && high !== null && low < high
    ? { lowNm: low, highNm: high, source: 'data sheet: AC stud torque' }
    : null;
}

/**
 * Torque of the AC studs, N·m: the data sheet's, a single figure with ±10 %; without one the typical range for the thread, and it says so.
 * The one target: rule, schedule, field reading, torque page and drawing take it from here. Undefined for threads off the table, and
 * while the sheet's own window is upside down.
 */
export function torqueTarget(bay: AcBay): TorqueTarget | undefined {
  const sheet = windowOnSheet(bay);
  if (sheet) return { ...sheet, setNm: (sheet.lowNm + sheet.highNm) / 2, origin: 'data sheet' };
  if (bay.torqueMinNm !== null) return undefined;
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
