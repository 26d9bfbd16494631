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
  /** At most lost because the tracker takes no more current, W. */
  readonly limitedW: number;
  /** Highest open-circuit voltage of its strings, V. */
  readonly openV: number;
}

/**
 * Power of a tracker, W: Σ strings·max(0, n·P·kept − R·I²), less what sharing a voltage costs, less what is above its operating current.
 * kept share after general losses, 0…1 · shareKept what is left after mixing, asked only where strings are unlike · limitA the most the
 * tracker takes, A. Error: a tracker at its limit moves to a higher voltage and loses less than I_mp/I_limit says; this is the most it loses.
 */
export function trackerHour(
  t: YearTracker,
  lit: readonly (LitPlane | null)[],
  kept: number,
  limitA: number,
  shareKept: (t: YearTracker) => number,
): TrackerHour {
  let [powerW, cableW, openV, currentA] = [0, 0, 0, 0];
  for (const part of t.parts) {
    const l = lit[part.plane];
    if (!l) continue;
    const lostW = part.ohm * l.currentA * l.currentA;
    cableW += part.strings * lostW;
    currentA += part.strings * l.currentA;
    powerW += part.strings * Math.max(0, part.modules * l.moduleW * kept - lostW);
    openV = Math.max(openV, part.modules * l.openV);
  }
  const share = t.mixed ? shareKept(t) : 1;
  const taken = currentA > limitA ? limitA / currentA : 1;
  const sharedW = powerW * share;
  return {
    powerW: sharedW * taken,
    cableW,
    mismatchW: powerW * (1 - share),
    limitedW: sharedW * (1 - taken),
    openV,
  };
}

/** An inverter in one state of light, W. */
export interface UnitHour {
  readonly acW: number;
  readonly clippedW: number;
  /** Not given because the unit derates in the heat, below its rating or over it. */
  readonly heatW: number;
  readonly clips: boolean;
  /** Light, but no string reaches the start-up voltage. */
  readonly waits: boolean;
}

/**
 * P_ac = min(0.98·P_dc, f·rating), W; what is above the rating is clipped, what the heat takes under it is counted apart. f share of the rating
 * that the unit still gives in its air, 0…1.
 */
export function unitHour(
  dcW: number,
  openV: number,
  type: Pick<InverterType, 'ratedW' | 'startV'>,
  leftInHeat = 1,
): UnitHour {
  const wantedW = AC_EFFICIENCY * dcW;
  const coolW = Math.min(wantedW, type.ratedW);
  const acW = Math.min(coolW, leftInHeat * type.ratedW);
  return {
    acW,
    clippedW: wantedW - coolW,
    heatW: coolW - acW,
    clips: wantedW > type.ratedW,
    waits: type.startV !== null && openV > 0 && openV < type.startV,
  };
}
