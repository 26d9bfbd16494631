import type { DiodeParameters } from './diode';
import { currentAt, voltageAt } from './diode';

/** Modules of a string that see the same light and temperature. */
export interface LitModules {
  readonly parameters: DiodeParameters;
  readonly count: number;
  readonly bypassDiodes: number;
  /** Of all the bypassed sections of these modules; the rest of a module is lit as another entry says. */
  readonly sections?: number;
}

/** A string in series: its modules by light. */
export type LitString = readonly LitModules[];

/** Lower end of a bypassed section, V (common practice for a conducting bypass diode). */
const BYPASS_V = -0.5;

/** Smallest current step that the inversion of a curve resolves, A. */
const RESOLVED_A = 1e-11;

const sectionsOf = (part: LitModules) => part.sections ?? part.count * Math.max(1, part.bypassDiodes);

/** One bypassed section: a, R_s and R_sh shared out; without diodes the module is one section that nothing clamps. */
function sectionVoltageV(part: LitModules, currentA: number): number {
  const share = Math.max(1, part.bypassDiodes);
  const whole = voltageAt(part.parameters, currentA) / share;
  return part.bypassDiodes > 0 ? Math.max(whole, BYPASS_V) : whole;
}

/** Voltage of a string that carries a current (A), V: its sections added up, a shaded one at its bypass diode. Bishop's sum of curves (recalled). */
export function stringVoltageV(string: LitString, currentA: number): number {
  return string.reduce((sum, part) => sum + sectionsOf(part) * sectionVoltageV(part, currentA), 0);
}

function stringOpenV(string: LitString): number {
  return stringVoltageV(string, 0);
}

/** Current of a string held at a voltage, A; negative where the others push current back. Explicit while all modules are alike. */
export function stringCurrentA(string: LitString, voltageV: number): number {
  const [only] = string;
  if (only && string.length === 1 && voltageV >= 0) {
    const share = Math.max(1, only.bypassDiodes);
    return currentAt(only.parameters, (voltageV * share) / sectionsOf(only));
  }
  const most = Math.max(...string.map((part) => part.parameters.lightA));
  let lo = -most - 1;
  while (stringVoltageV(string, lo) < voltageV) lo *= 2;
  let hi = most + 1;
  while (stringVoltageV(string, hi) > voltageV) hi *= 2;
  while (hi - lo > RESOLVED_A) {
    const mid = (lo + hi) / 2;
    if (mid <= lo || mid >= hi) break;
    if (stringVoltageV(string, mid) > voltageV) lo = mid;
    else hi = mid;
  }
  return (lo + hi) / 2;
}

/** Currents of parallel strings add up: they share one voltage, and nothing blocks a negative one. */
function trackerCurrentA(strings: readonly LitString[], voltageV: number): number {
  return strings.reduce((sum, s) => sum + stringCurrentA(s, voltageV), 0);
}

export interface TrackingWindow {
  readonly minV: number;
  readonly maxV: number;
}

export interface TrackerPoint {
  readonly powerW: number;
  readonly voltageV: number;
}

const GOLDEN = (Math.sqrt(5) - 1) / 2;
const GRID_V = 4;

/**
 * The highest power of parallel strings inside the tracking range, W: a grid of at most 4 V, then golden section in the best cell.
 * A grid first, because shading makes several summits and a tracker that climbs the nearest one loses. 0 W where the range is not reached.
 */
export function trackerMaximum(strings: readonly LitString[], window: TrackingWindow): TrackerPoint {
  const top = Math.min(window.maxV, Math.max(0, ...strings.map(stringOpenV)));
  if (!(top > window.minV)) return { powerW: 0, voltageV: window.minV };
  const power = (v: number) => v * trackerCurrentA(strings, v);
  const cells = Math.ceil((top - window.minV) / GRID_V);
  const step = (top - window.minV) / cells;
  let best = 0;
  let bestW = Number.NEGATIVE_INFINITY;
  for (let i = 0; i <= cells; i++) {
    const w = power(window.minV + i * step);
    if (w > bestW) [best, bestW] = [i, w];
  }
  let lo = window.minV + Math.max(0, best - 1) * step;
  let hi = window.minV + Math.min(cells, best + 1) * step;
  for (let i = 0; i < 60 && hi - lo > 1e-7; i++) {
    const [left, right] = [hi - GOLDEN * (hi - lo), lo + GOLDEN * (hi - lo)];
    if (power(left) < power(right)) lo = left;
    else hi = right;
  }
  const voltageV = (lo + hi) / 2;
  const powerW = power(voltageV);
  return powerW >= bestW ? { powerW, voltageV } : { powerW: bestW, voltageV: window.minV + best * step };
}

export interface Mismatch {
  readonly parallel: TrackerPoint;
  readonly separateW: number;
  /** Percent of what separate trackers would give. */
  readonly lossPercent: number;
}

/** What parallel strings lose against each having a tracker of its own, both inside the same range. */
export function mismatch(strings: readonly LitString[], window: TrackingWindow): Mismatch {
  const parallel = trackerMaximum(strings, window);
  const separateW = strings.reduce((sum, s) => sum + trackerMaximum([s], window).powerW, 0);
  return { parallel, separateW, lossPercent: separateW > 0 ? 100 * (1 - parallel.powerW / separateW) : 0 };
}

export interface CurvePoint {
  readonly voltageV: number;
  readonly currentA: number;
  readonly powerW: number;
}

/** The curve of a tracker's strings from 0 V to the highest open circuit, for drawing. */
export function trackerCurve(strings: readonly LitString[], points = 120): CurvePoint[] {
  const openV = Math.max(0, ...strings.map(stringOpenV));
  return Array.from({ length: points + 1 }, (_, i) => {
    const voltageV = (openV * i) / points;
    const currentA = trackerCurrentA(strings, voltageV);
    return { voltageV, currentA, powerW: voltageV * currentA };
  });
}

/** A string of equal modules in one light. */
export function evenString(parameters: DiodeParameters, modules: number, bypassDiodes: number): LitString {
  return [{ parameters, count: modules, bypassDiodes }];
}
