import type { InverterType } from '../../equipment/inverterType';
import type { LitPlane } from './litPlane';
import type { YearTracker } from './trackers';

/** DC to AC of the inverter where its sheet gives no curve (common practice). */
export const AC_EFFICIENCY = 0.98;

/** A tracker in one state of light: power after cable and mixing, W. */
export interface TrackerHour {
  readonly powerW: number;
  readonly cableW: number;
  readonly mismatchW: number;
  /** Highest open-circuit voltage of its strings, V. */
  readonly openV: number;
}

/**
 * Power of a tracker, W: Σ strings·max(0, n·P·kept − R·I²), less what sharing a voltage costs.
 * kept share after general losses, 0…1 · shareKept what is left after mixing, asked only where strings are unlike.
 */
export function trackerHour(
  t: YearTracker,
  lit: readonly (LitPlane | null)[],
  kept: number,
  shareKept: (t: YearTracker) => number,
): TrackerHour {
  let [powerW, cableW, openV] = [0, 0, 0];
  for (const part of t.parts) {
    const l = lit[part.plane];
    if (!l) continue;
    const lostW = part.ohm * l.currentA * l.currentA;
    cableW += part.strings * lostW;
    powerW += part.strings * Math.max(0, part.modules * l.moduleW * kept - lostW);
    openV = Math.max(openV, part.modules * l.openV);
  }
  if (!t.mixed) return { powerW, cableW, mismatchW: 0, openV };
  const share = shareKept(t);
  return { powerW: powerW * share, cableW, mismatchW: powerW * (1 - share), openV };
}

/** An inverter in one state of light, W. */
export interface UnitHour {
  readonly acW: number;
  readonly clippedW: number;
  readonly clips: boolean;
  /** Light, but no string reaches the start-up voltage. */
  readonly waits: boolean;
}

/** P_ac = min(0.98·P_dc, rating), W; what is above the rating is clipped. */
export function unitHour(dcW: number, openV: number, type: Pick<InverterType, 'ratedW' | 'startV'>): UnitHour {
  const wantedW = AC_EFFICIENCY * dcW;
  const acW = Math.min(wantedW, type.ratedW);
  return {
    acW,
    clippedW: wantedW - acW,
    clips: wantedW > type.ratedW,
    waits: type.startV !== null && openV > 0 && openV < type.startV,
  };
}
