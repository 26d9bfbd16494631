/** One sample of the grid while the unit waits. */
export interface GridSample {
  readonly atS: number;
  readonly lineV: number;
  readonly frequencyHz: number;
}
export interface SampleWindow {
  readonly minV: number;
  readonly maxV: number;
  readonly minHz: number | null;
  readonly maxHz: number | null;
}

/** A value holds until the next sample, but no longer than this, s. */
const GAP_MAX_S = 10;

const isGood = (s: GridSample, w: SampleWindow): boolean =>
  s.lineV >= w.minV && s.lineV <= w.maxV && s.frequencyHz >= (w.minHz ?? 0) && s.frequencyHz <= (w.maxHz ?? Infinity);

/**
 * When a unit may connect: the wait starts at the first good sample and restarts at any sample outside the window or after a gap over 10 s.
 * `readyAtS` null while it has not run unbroken for `delayS`; `unbrokenS` how long it has by the last sample. Source: reconnection rules of
 * the grid codes.
 */
export function reconnection(
  samples: readonly GridSample[],
  window: SampleWindow,
  delayS: number,
): { readyAtS: number | null; restarts: number; unbrokenS: number } {
  let since: number | null = null;
  let lastS: number | null = null;
  let restarts = 0;
  for (const s of samples) {
    const good = isGood(s, window);
    const gap = lastS !== null && s.atS - lastS > GAP_MAX_S;
    if (since !== null && (!good || gap)) {
      restarts += 1;
      since = null;
    }
    if (good && since === null) since = s.atS;
    if (since !== null && s.atS - since >= delayS)
      return { readyAtS: since + delayS, restarts, unbrokenS: s.atS - since };
    lastS = s.atS;
  }
  return { readyAtS: null, restarts, unbrokenS: since === null || lastS === null ? 0 : lastS - since };
}
