import { bracketedRoot } from '../../kernel/root';
import type { DiodeParameters } from './diode';
import { currentAt, maximumPower } from './diode';
import type { TrackerPoint, TrackingWindow } from './tracker';

/** A string of equal modules in one light: what a year of hours is made of. */
export interface EvenString {
  readonly parameters: DiodeParameters;
  readonly modules: number;
}

/** Narrower than this the place of a maximum does not show in its power, V. */
const NARROW_V = 0.02;

/** Highest power of one even string inside the tracking range; 0 W where its open circuit does not reach it. */
function evenMaximum({ parameters, modules }: EvenString, window: TrackingWindow): TrackerPoint {
  const best = maximumPower(parameters);
  const freeV = best.voltageV * modules;
  if (freeV >= window.minV && freeV <= window.maxV) return { powerW: best.powerW * modules, voltageV: freeV };
  const voltageV = freeV < window.minV ? window.minV : window.maxV;
  return { powerW: Math.max(0, voltageV * currentAt(parameters, voltageV / modules)), voltageV };
}

export interface Shared {
  readonly parallelW: number;
  readonly separateW: number;
}

/**
 * Highest power of even strings on one tracker and on trackers of their own, W. Each power over voltage has one summit, so the summit of
 * their sum lies between the lowest and the highest of theirs: where Σ(I + U·dI/dU) changes sign. Error below 1e-6 of the power.
 */
export function sharedMaximum(strings: readonly EvenString[], window: TrackingWindow): Shared {
  const own = strings.map((s) => evenMaximum(s, window));
  const separateW = own.reduce((sum, p) => sum + p.powerW, 0);
  const slope = (voltageV: number) => strings.reduce((sum, s) => sum + powerSlope(s, voltageV), 0);
  const [lowV, highV] = [Math.min(...own.map((p) => p.voltageV)), Math.max(...own.map((p) => p.voltageV))];
  const power = (voltageV: number) =>
    Math.max(0, voltageV * strings.reduce((sum, s) => sum + currentAt(s.parameters, voltageV / s.modules), 0));
  const summitV = highV - lowV > NARROW_V ? bracketedRoot(slope, lowV, highV, NARROW_V) : (lowV + highV) / 2;
  // No change of sign: a string held at an end of the range; the better end is the summit there.
  const parallelW = summitV === undefined ? Math.max(power(lowV), power(highV)) : power(summitV);
  return { parallelW: Math.min(parallelW, separateW), separateW };
}

/** dP/dU of an even string at a voltage, A: I + U·dI/dU with dI/dU = −g/(1 + R_s·g) a module. */
function powerSlope({ parameters: p, modules }: EvenString, voltageV: number): number {
  const v = voltageV / modules;
  const i = currentAt(p, v);
  const g = (p.saturationA / p.aV) * Math.exp((v + i * p.seriesOhm) / p.aV) + 1 / p.shuntOhm;
  return i - (v * g) / (1 + p.seriesOhm * g);
}
