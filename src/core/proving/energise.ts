import type { GridCode } from '../site/gridCodes';
import { ENERGISE_ORDER_1 } from './tables/energiseOrder';

export type EnergiseState = (typeof ENERGISE_ORDER_1)[number]['state'];
export type EnergiseStep = (typeof ENERGISE_ORDER_1)[number];

/** The usual order on a site without a battery. */
export const USUAL_ORDER: readonly EnergiseStep[] = ENERGISE_ORDER_1.filter((s) => s.state !== 'BAT_CLOSED');

/** One sample of the grid while the unit waits. */
export interface GridSample {
  readonly atS: number;
  readonly lineV: number;
  readonly frequencyHz: number;
}

/** A value holds until the next sample, but no longer than this, s. */
const GAP_MAX_S = 10;

/**
 * When a unit may connect: the wait starts at the first good sample and restarts at any sample outside the window or after a gap
 * over 10 s. Null while it has not run unbroken for `delayS`. Source: reconnection rules of the grid codes.
 */
export function reconnection(
  samples: readonly GridSample[],
  window: { minV: number; maxV: number; minHz: number; maxHz: number },
  delayS: number,
): { readyAtS: number | null; restarts: number } {
  let since: number | null = null;
  let lastS: number | null = null;
  let restarts = 0;
  for (const s of samples) {
    const good =
      s.lineV >= window.minV &&
      s.lineV <= window.maxV &&
      s.frequencyHz >= window.minHz &&
      s.frequencyHz <= window.maxHz;
    const gap = lastS !== null && s.atS - lastS > GAP_MAX_S;
    if (since !== null && (!good || gap)) {
      restarts += 1;
      since = null;
    }
    if (good && since === null) since = s.atS;
    if (since !== null && s.atS - since >= delayS) return { readyAtS: since + delayS, restarts };
    lastS = s.atS;
  }
  return { readyAtS: null, restarts };
}

/** Least time a step lasts, s: its own, or the grid code's delay while the unit waits for the grid. Null while the code is unknown. */
export function leastWaitS(step: EnergiseStep, code: GridCode | undefined): number | null {
  return step.state === 'GRID_WAIT' ? (code?.delayS ?? null) : step.minS;
}

/** What is typed to confirm a step. */
export const STEP_READING: Readonly<Record<EnergiseState, { label: string; unit: string } | null>> = {
  LOCKED_OFF: null,
  AC_CLOSED: { label: 'Line voltage shown', unit: 'V' },
  BAT_CLOSED: { label: 'Rack voltage shown', unit: 'V' },
  DC_CLOSED: { label: 'Lowest input voltage shown', unit: 'V' },
  SELF_CHECK: null,
  GRID_WAIT: { label: 'Line voltage at the end of the wait', unit: 'V' },
  RAMP: { label: 'AC power', unit: 'kW' },
  ON_GRID: { label: 'AC power after five minutes', unit: 'kW' },
  SETTLED: { label: 'Hottest joint over ambient', unit: 'K' },
};

export interface StepLimits {
  readonly restLineV: number | null;
  readonly window: { readonly minV: number; readonly maxV: number } | null;
  readonly startV: number | null;
  readonly dcMaxV: number | null;
  readonly ratedW: number | null;
}

/** Whether a confirmed reading is what the step expects; null when it is, else the sentence for the crew. */
export function stepTrouble(state: EnergiseState, reading: number | null, limits: StepLimits): string | null {
  if (STEP_READING[state] === null) return null;
  if (reading === null) return 'Enter the reading: a step is confirmed with it.';
  const { restLineV, window, startV, dcMaxV, ratedW } = limits;
  switch (state) {
    case 'AC_CLOSED':
      if (restLineV === null) return 'No AC voltages on record for this unit: measure them first.';
      return Math.abs(reading / restLineV - 1) > 0.01
        ? `${reading} V is over 1 % from the ${restLineV.toFixed(1)} V measured at rest.`
        : null;
    case 'DC_CLOSED':
      if (dcMaxV !== null && reading > dcMaxV)
        return `${reading} V is above the input limit ${dcMaxV} V: open that DC switch.`;
      return startV !== null && reading < startV
        ? `${reading} V is under the start-up voltage ${startV} V: the unit will not start.`
        : null;
    case 'GRID_WAIT':
      if (window === null) return 'No grid code or nominal voltage on the survey: the window is unknown.';
      return reading < window.minV || reading > window.maxV
        ? `${reading} V is outside ${window.minV.toFixed(0)} to ${window.maxV.toFixed(0)} V: the wait restarts.`
        : null;
    case 'RAMP':
      return reading > 0 ? null : 'No power yet: keep watching, or find the unmet condition.';
    case 'ON_GRID':
      if (ratedW === null) return 'The rating of this unit is unknown.';
      return reading > (0.01 * ratedW) / 1000 ? null : `${reading} kW is not above 1 % of ${ratedW / 1000} kW.`;
    case 'SETTLED':
      return reading > 70 ? `${reading} K over ambient: unload, then find the joint (limit 70 K, IEC 61439-1).` : null;
    default:
      return null;
  }
}

/**
 * Wait before hands go in after switching off, s: the longest of 300 s and the label; 900 s where no label is legible.
 * Common practice.
 */
export function dischargeWaitS(labelS: number | null): number {
  return labelS === null ? 900 : Math.max(300, labelS);
}
