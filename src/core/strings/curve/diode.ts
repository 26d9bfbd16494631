import { ROUNDING } from '../../kernel/rounding';
import type { ModuleType } from '../../equipment/moduleType';
import { STC_C, STC_W_M2 } from '../../kernel/quantity';
import { requireWithin } from '../../kernel/require';
import { bracketedRoot } from '../../kernel/root';

/** Boltzmann's constant over the charge of an electron, V/K (CODATA 2018). */
const K_OVER_Q = 8.617333262e-5;
const KELVIN = 273.15;
const REF_K = STC_C + KELVIN;

/** Five-parameter model of a module at one irradiance and cell temperature. */
export interface DiodeParameters {
  /** Modified ideality factor n·N_s·k·T/q, V. */
  readonly aV: number;
  readonly lightA: number;
  readonly saturationA: number;
  readonly seriesOhm: number;
  /** Infinite in the dark. */
  readonly shuntOhm: number;
}

export interface ModuleModel {
  readonly reference: DiodeParameters;
  readonly idealityFactor: number;
  readonly alphaAPerK: number;
  /** True where the sheet's voltage coefficient fits no curve and the shunt was chosen instead. */
  readonly fallback: boolean;
  /** Voltage coefficient of the model near 25 °C, 1/K. */
  readonly betaPerK: number;
}

/** Band gap of silicon, eV (De Soto, Klein & Beckman 2006, Solar Energy 80:78; recalled). */
const bandGapEv = (tempK: number) => 1.121 * (1 - 0.0002677 * (tempK - REF_K));

interface Fit extends DiodeParameters {
  readonly shuntS: number;
}

/**
 * I_L, I_0 and 1/R_sh for a given a and R_s: the conditions at short circuit, open circuit and maximum power are linear in them.
 * I_0 is carried as I_0·exp(U_oc/a), so that nothing overflows.
 */
function linearFit(m: ModuleType, aV: number, seriesOhm: number): Fit {
  const drop = m.impA * seriesOhm;
  const e = (v: number) => Math.exp((v - m.uocV) / aV);
  const [eShort, eOpen, eMax] = [e(m.iscA * seriesOhm), 1, e(m.umpV + drop)];
  // Open minus short, open minus maximum power: two equations in J = I_0·exp(U_oc/a) and G = 1/R_sh.
  const [a11, a12, b1] = [eOpen - eShort, m.uocV - m.iscA * seriesOhm, m.iscA];
  const [a21, a22, b2] = [eOpen - eMax, m.uocV - m.umpV - drop, m.impA];
  const det = a11 * a22 - a12 * a21;
  const scaled = (b1 * a22 - a12 * b2) / det;
  const shuntS = (a11 * b2 - a21 * b1) / det;
  const saturationA = scaled * Math.exp(-m.uocV / aV);
  return {
    aV,
    seriesOhm,
    shuntS,
    shuntOhm: 1 / shuntS,
    saturationA,
    lightA: scaled - saturationA + m.uocV * shuntS,
  };
}

/** Departure from dP/dU = 0 at the maximum-power point, A. */
function slopeAtMaximum(m: ModuleType, fit: Fit): number {
  const g = (fit.saturationA / fit.aV) * Math.exp((m.umpV + m.impA * fit.seriesOhm) / fit.aV) + fit.shuntS;
  return (m.umpV * g) / (1 + fit.seriesOhm * g) - m.impA;
}

/** Root of a continuous function between two ends of opposite sign, to the last bit; undefined where they agree in sign. */
function bisect(f: (x: number) => number, low: number, high: number): number | undefined {
  let [lo, hi] = [low, high];
  const atLow = f(lo);
  const atHigh = f(hi);
  if (!(Number.isFinite(atLow) && Number.isFinite(atHigh)) || Math.sign(atLow) === Math.sign(atHigh)) return undefined;
  for (let i = 0; i < 200; i++) {
    const mid = (lo + hi) / 2;
    if (mid <= lo || mid >= hi) break;
    if (Math.sign(f(mid)) === Math.sign(atLow)) lo = mid;
    else hi = mid;
  }
  return (lo + hi) / 2;
}

/** The fit at ideality n whose maximum power lies where the sheet says; undefined where no series resistance does it. */
function fitAt(m: ModuleType, n: number): Fit | undefined {
  const aV = n * m.cellsInSeries * K_OVER_Q * REF_K;
  const most = (0.999 * (m.uocV - m.umpV)) / m.impA;
  const rs = bisect((ohm) => slopeAtMaximum(m, linearFit(m, aV, ohm)), 0, most);
  return rs === undefined ? undefined : linearFit(m, aV, rs);
}

/** Current at the voltage at which the sheet says there is none, 2 K above the reference, A. */
function currentWhereSheetSaysNone(m: ModuleType, fit: Fit): number {
  const { aV, lightA, saturationA, shuntOhm } = translate(fit, alphaA(m), STC_W_M2, STC_C + 2);
  const v = m.uocV * (1 + m.betaUocPerK * 2);
  return lightA - saturationA * Math.expm1(v / aV) - v / shuntOhm;
}

const alphaA = (m: ModuleType) => m.alphaIscPerK * m.iscA;
const IDEALITY = Array.from({ length: 131 }, (_, i) => 0.5 + i / 100);

/** First ideality factor at which `miss` changes sign and the shunt is real. */
function firstIdeality(m: ModuleType, from: number, miss: (fit: Fit) => number): { n: number; fit: Fit } | undefined {
  let before: { n: number; miss: number } | undefined;
  for (const n of IDEALITY.filter((x) => x >= from - ROUNDING)) {
    const fit = fitAt(m, n);
    const now = fit && { n, miss: miss(fit) };
    if (before && now && Math.sign(before.miss) !== Math.sign(now.miss)) {
      const root = bisect(
        (x) => {
          const f = fitAt(m, x);
          return f ? miss(f) : Number.NaN;
        },
        before.n,
        now.n,
      );
      const found = root === undefined ? undefined : fitAt(m, root);
      if (root !== undefined && found && found.shuntS > 0) return { n: root, fit: found };
    }
    before = now;
  }
  return undefined;
}

/**
 * Five parameters of a module from its data sheet: I = I_L − I_0(exp((U + I·R_s)/a) − 1) − (U + I·R_s)/R_sh
 * (De Soto, Klein & Beckman 2006, Solar Energy 80:78; recalled).
 * Two nested bisections: R_s so that dP/dU = 0 at maximum power, the ideality so that U_oc falls as the sheet's β says; the rest is
 * linear. Why not Newton in five unknowns: it needs start values and fails on a third of real sheets without saying so.
 * Where β fits no curve it is dropped and 1/R_sh = I_sc/(1000·U_oc) chosen (`fallback`). Null where no curve fits at all.
 * Error: reproduces the three points of the sheet to 1e-9 relative.
 */
export function moduleModel(m: ModuleType): ModuleModel | null {
  const byBeta = firstIdeality(m, 0.5, (fit) => currentWhereSheetSaysNone(m, fit));
  const found = byBeta ?? firstIdeality(m, 0.7, (fit) => fit.shuntS - m.iscA / (1000 * m.uocV));
  if (!found) return null;
  const { shuntS: _, ...reference } = found.fit;
  const warmV = openVoltageV(translate(reference, alphaA(m), STC_W_M2, STC_C + 2));
  return {
    reference,
    idealityFactor: found.n,
    alphaAPerK: alphaA(m),
    fallback: !byBeta,
    betaPerK: (warmV / m.uocV - 1) / 2,
  };
}

function translate(r: DiodeParameters, alphaAPerK: number, irradianceWm2: number, cellC: number): DiodeParameters {
  const tempK = cellC + KELVIN;
  const warmer = tempK / REF_K;
  const sun = irradianceWm2 / STC_W_M2;
  const gap = bandGapEv(REF_K) / (K_OVER_Q * REF_K) - bandGapEv(tempK) / (K_OVER_Q * tempK);
  return {
    aV: r.aV * warmer,
    lightA: sun * (r.lightA + alphaAPerK * (cellC - STC_C)),
    saturationA: r.saturationA * warmer ** 3 * Math.exp(gap),
    seriesOhm: r.seriesOhm,
    shuntOhm: sun > 0 ? r.shuntOhm / sun : Number.POSITIVE_INFINITY,
  };
}

/** The model at an irradiance (0…1600 W/m²) and a cell temperature (−60…120 °C), by De Soto's rules. Throws RangeError outside. */
export function parametersAt(model: ModuleModel, irradianceWm2: number, cellC: number): DiodeParameters {
  requireWithin('irradianceWm2', irradianceWm2, 0, 1600, 'W/m²');
  requireWithin('cellC', cellC, -60, 120, '°C');
  return translate(model.reference, model.alphaAPerK, irradianceWm2, cellC);
}

/**
 * Voltage of a module that carries a current, V; negative when the current is forced through it.
 * Newton on the diode voltage d from the right, where the curve is concave and the steps cannot overshoot; V = d − I·R_s.
 */
export function voltageAt(p: DiodeParameters, currentA: number): number {
  const beyond = p.lightA - currentA;
  let d = beyond > 0 ? p.aV * Math.log1p(beyond / p.saturationA) : 0;
  for (let i = 0; i < 100; i++) {
    const grown = p.saturationA * Math.exp(d / p.aV);
    const step = (beyond - (grown - p.saturationA) - d / p.shuntOhm) / (grown / p.aV + 1 / p.shuntOhm);
    d += step;
    if (Math.abs(step) <= 1e-13 * Math.max(1, Math.abs(d))) break;
  }
  return d - currentA * p.seriesOhm;
}

/** W of W + ln W = x, without forming exp(x): Newton on a start that is never far off. */
function lambertOfExp(x: number): number {
  let w = x > 1 ? x - Math.log(x) : Math.exp(x) / (1 + Math.exp(x));
  for (let i = 0; i < 60; i++) {
    const step = (w + Math.log(w) - x) / (1 + 1 / w);
    w -= step;
    if (w <= 0) w = Number.MIN_VALUE;
    if (Math.abs(step) <= 1e-15 * w) break;
  }
  return w;
}

/**
 * Current of a module held at a voltage, A; negative above open circuit. Explicit, by Lambert's W:
 *   x = ln(R_s·I_0·R_sh/(a(R_s + R_sh))) + R_sh(R_s(I_L + I_0) + V)/(a(R_s + R_sh)) · I = (R_sh(I_L + I_0) − V)/(R_s + R_sh) − a/R_s·W
 */
export function currentAt(p: DiodeParameters, voltageV: number): number {
  const { aV, lightA, saturationA, seriesOhm: rs, shuntOhm: rsh } = p;
  const share = Number.isFinite(rsh) ? rsh / (rs + rsh) : 1;
  const x = Math.log((rs * saturationA * share) / aV) + (share * (rs * (lightA + saturationA) + voltageV)) / aV;
  const leak = Number.isFinite(rsh) ? voltageV / (rs + rsh) : 0;
  return share * (lightA + saturationA) - leak - (aV / rs) * lambertOfExp(x);
}

/** What the single-diode equation is off by at a point (V, A), A: 0 on the curve. For tests of the two inversions. */
export function residualA(p: DiodeParameters, voltageV: number, currentA: number): number {
  const d = voltageV + currentA * p.seriesOhm;
  return p.lightA - p.saturationA * Math.expm1(d / p.aV) - d / p.shuntOhm - currentA;
}

/** Open-circuit voltage of the model, V. */
export function openVoltageV(p: DiodeParameters): number {
  return voltageAt(p, 0);
}

export interface MaximumPower {
  readonly powerW: number;
  readonly voltageV: number;
  readonly currentA: number;
}

/** Highest power of one module, W: where dP/dU changes sign over the diode voltage, to 1e-8 V. 0 in the dark. */
export function maximumPower(p: DiodeParameters): MaximumPower {
  if (!(p.lightA > 0)) return { powerW: 0, voltageV: 0, currentA: 0 };
  const at = (d: number) => {
    const currentA = p.lightA - p.saturationA * Math.expm1(d / p.aV) - d / p.shuntOhm;
    const voltageV = d - currentA * p.seriesOhm;
    const g = (p.saturationA / p.aV) * Math.exp(d / p.aV) + 1 / p.shuntOhm;
    return { currentA, voltageV, powerW: currentA * voltageV, slope: currentA * (1 + p.seriesOhm * g) - voltageV * g };
  };
  const d = bracketedRoot((x) => at(x).slope, 0, openVoltageV(p), 1e-8) ?? 0;
  const { powerW, voltageV, currentA } = at(d);
  return { powerW, voltageV, currentA };
}
