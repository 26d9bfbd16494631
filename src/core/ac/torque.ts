import type { AcBay } from '../equipment/inverterType';
import { fixed } from '../kernel/quantity';
import { ROUNDING } from '../kernel/rounding';
import { exactly } from '../kernel/publishedTable';
import type { AcRun } from './part';
import { STUD_TORQUE } from './tables/studTorque';

/** Where a torque may be written, the first that is there counts: never silently. */
export const TORQUE_ORIGINS = ['data sheet', 'print beside the stud', 'lug maker', 'stud table'] as const;
export type TorqueOrigin = (typeof TORQUE_ORIGINS)[number];

interface TorqueWindow {
  readonly lowNm: number;
  readonly highNm: number;
  readonly source: string;
}

export interface TorqueTarget extends TorqueWindow {
  /** What to set a tool to: the middle of the window. */
  readonly setNm: number;
  readonly origin: TorqueOrigin;
  /** What another place gives that differs from this by more than the spread of one figure, in words; absent where they agree. */
  readonly against?: string;
  /** Somebody has chosen between the two. */
  readonly chosen?: boolean;
}

/** What is written at the joint in hand: beside the stud, on the lug, and which of sheet and print the electrician takes. */
export type TorqueAtJoint = Pick<AcRun, 'printMinNm' | 'printMaxNm' | 'lugMinNm' | 'lugMaxNm' | 'torqueBy'>;
const NOTHING_PRINTED: TorqueAtJoint = {
  printMinNm: null,
  printMaxNm: null,
  lugMinNm: null,
  lugMaxNm: null,
  torqueBy: null,
};

/** Spread of a torque that is given as one figure, and how far two places may differ, share (common practice). */
const ONE_FIGURE_SPREAD = 0.1;

/** A window as printed, or about the one figure that is; null while nothing is, or it is printed upside down. */
function windowOf(low: number | null, high: number | null, source: string): TorqueWindow | null {
  const one = low === null || high === null || low === high ? (low ?? high) : null;
  if (one !== null)
    return {
      lowNm: (1 - ONE_FIGURE_SPREAD) * one,
      highNm: (1 + ONE_FIGURE_SPREAD) * one,
      source: `${source}, one figure ±10 % (common practice)`,
    };
  return low !== null && high !== null && low < high ? { lowNm: low, highNm: high, source } : null;
}

const upsideDown = (low: number | null, high: number | null) => low !== null && high !== null && low > high;
const middleNm = ({ lowNm, highNm }: TorqueWindow) => (lowNm + highNm) / 2;
const words = (w: TorqueWindow) => `${fixed(w.lowNm, 1)} to ${fixed(w.highNm, 1)} N·m`;

/** Typical range of the thread; undefined off the table. */
function ofThread(studM: number): TorqueWindow | undefined {
  const lowNm = exactly(STUD_TORQUE, studM, 'typical low');
  const highNm = exactly(STUD_TORQUE, studM, 'typical high');
  if (lowNm === undefined || highNm === undefined) return undefined;
  return { lowNm, highNm, source: `typical range for M${studM}: ${STUD_TORQUE.source}` };
}

/**
 * Torque of the AC studs, N·m: the data sheet's, else what is printed beside the stud, else the lug maker's, else the typical range of the
 * thread, and it says so. Sheet and print that differ by more than 10 % are both told, and the electrician's choice rules. The one target:
 * rule, schedule, field reading, torque page and drawing take it from here. Undefined for threads off the table, and while a window is upside down.
 */
export function torqueTarget(bay: AcBay, at: TorqueAtJoint = NOTHING_PRINTED): TorqueTarget | undefined {
  if (
    upsideDown(bay.torqueMinNm, bay.torqueMaxNm) ||
    upsideDown(at.printMinNm, at.printMaxNm) ||
    upsideDown(at.lugMinNm, at.lugMaxNm)
  )
    return undefined;
  const sheet = windowOf(bay.torqueMinNm, bay.torqueMaxNm, 'data sheet: AC stud torque');
  const print = windowOf(at.printMinNm, at.printMaxNm, 'print beside the stud');
  const lug = windowOf(at.lugMinNm, at.lugMaxNm, 'lug maker');
  const target = (w: TorqueWindow, origin: TorqueOrigin): TorqueTarget => ({ ...w, setNm: middleNm(w), origin });
  if (sheet && print) {
    const byPrint = at.torqueBy === 'print beside the stud';
    const [taken, other] = byPrint ? [print, sheet] : [sheet, print];
    const origin = byPrint ? 'print beside the stud' : 'data sheet';
    if (Math.abs(middleNm(print) - middleNm(sheet)) <= ONE_FIGURE_SPREAD * middleNm(sheet) * (1 + ROUNDING))
      return target(taken, origin);
    return { ...target(taken, origin), against: `${other.source}: ${words(other)}`, chosen: at.torqueBy !== null };
  }
  if (sheet) return target(sheet, 'data sheet');
  if (print) return target(print, 'print beside the stud');
  if (lug) return target(lug, 'lug maker');
  const thread = ofThread(bay.studM);
  return thread && target(thread, 'stud table');
}

/** Window to set a tool of relative error e to, N·m: [lo/(1 − e), hi/(1 + e)]; e 6 % up to 10 N·m, else 4 % (ISO 6789-1; recalled). */
export function settingWindowNm(lowNm: number, highNm: number): { lowNm: number; highNm: number } {
  const e = highNm <= 10 ? 0.06 : 0.04;
  return { lowNm: lowNm / (1 - e), highNm: highNm / (1 + e) };
}
