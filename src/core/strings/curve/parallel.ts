import type { DiodeParameters } from './diode';
import { currentAt, maximumPower, openVoltageV } from './diode';
import type { TrackingWindow } from './tracker';

/** A string of equal modules in one light: what a year of hours is made of. */
export interface EvenString {
  readonly parameters: DiodeParameters;
  readonly modules: number;
}

/** Current of an even string and its slope dI/dU at a voltage. */
function currentAndSlope({ parameters: p, modules }: EvenString, voltageV: number): [number, number] {
  const v = voltageV / modules;
  const i = currentAt(p, v);
  const g = (p.saturationA / p.aV) * Math.exp((v + i * p.seriesOhm) / p.aV) + 1 / p.shuntOhm;
  return [i, -g / (1 + p.seriesOhm * g) / modules];
}

/** Highest power of one even string inside the tracking range, W; 0 where its open circuit does not reach it. */
export function evenMaximumW(string: EvenString, window: TrackingWindow): number {
  const { powerW, voltageV } = maximumPower(string.parameters);
  const atV = Math.min(Math.max(voltageV * string.modules, window.minV), window.maxV);
  if (atV === voltageV * string.modules) return powerW * string.modules;
  return Math.max(0, atV * currentAt(string.parameters, atV / string.modules));
}

/**
 * Highest power of even strings in parallel inside the tracking range, W. Each current falls ever faster with the voltage, so their sum
 * does, and U·I(U) has one summit: where I + U·dI/dU changes sign. Newton's secant kept inside a bracket; error below 1e-6 of the power.
 */
export function parallelMaximumW(strings: readonly EvenString[], window: TrackingWindow): number {
  const top = Math.min(window.maxV, Math.max(...strings.map((s) => s.modules * openVoltageV(s.parameters))));
  if (!(top > window.minV)) return 0;
  let current = 0;
  const slope = (v: number) => {
    let [i, di] = [0, 0];
    for (const s of strings) {
      const [own, steep] = currentAndSlope(s, v);
      i += own;
      di += steep;
    }
    current = i;
    return i + v * di;
  };
  let [lo, hi] = [window.minV, top];
  let fLo = slope(lo);
  if (fLo <= 0) return Math.max(0, lo * current);
  let fHi = slope(hi);
  if (fHi >= 0) return Math.max(0, hi * current);
  let v = hi;
  for (let n = 0; n < 60 && hi - lo > 0.02; n++) {
    const secant = lo + ((hi - lo) * fLo) / (fLo - fHi);
    // The Illinois rule would do; the halving every third step keeps the bracket from creeping in from one side.
    v = n % 3 === 2 ? (lo + hi) / 2 : secant;
    const f = slope(v);
    if (f > 0) [lo, fLo] = [v, f];
    else [hi, fHi] = [v, f];
  }
  slope(v);
  return Math.max(0, v * current);
}
