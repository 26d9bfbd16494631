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

/**
 * Torque of the AC studs, N·m: the data sheet's; without one the typical range for the thread, and it says so.
 * The one target: rule, schedule, field reading, torque page and drawing take it from here. Undefined for threads off the table.
 */
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
