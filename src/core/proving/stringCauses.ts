import type { ModuleType } from '../equipment/moduleType';
import { STC_W_M2 } from '../kernel/quantity';
import { idealityV, openCircuitInLightV, shortCircuitA } from '../strings/moduleAt';
import { FIELD_CAUSES } from './tables/fieldCauses';

/** What one string should read now, and what the likeliest reason is when it does not. */

export type CauseId = (typeof FIELD_CAUSES)[number]['cause'];

export interface FieldReading {
  readonly modules: number;
  readonly cellC: number;
  readonly irradianceWm2: number;
  readonly voltageV: number;
  /** Short-circuit or running current, A; null when only the voltage was read. */
  readonly currentA: number | null;
  /** Another length of the plan that could hang here by mistake; null when all strings are alike. */
  readonly otherModules: number | null;
  /** Modified ideality of one module at 25 °C, V; by the cell count when no curve was fitted. */
  readonly idealityV?: number;
}

export interface Expected {
  readonly moduleV: number;
  readonly stringV: number;
  readonly currentA: number;
  /** Standard uncertainty of the voltage, a fraction; U95 is twice this, in percent. */
  readonly u: number;
  readonly u95Percent: number;
}

/** Standard instruments and a usual batch (all common practice): thermometer K, meter %, batch %, scatter % a module, light %. */
const BUDGET = {
  thermometerK: 2,
  meterPercent: 0.5,
  batchPercent: 1.5,
  scatterPercent: 1,
  lightPercent: 5,
  currentPercent: 5,
} as const;
const FLAT = Math.sqrt(3);

/** Expected string voltage and current with the uncertainty of the usual instruments (k = 2). */
export function expectedReading(
  m: ModuleType,
  r: Omit<FieldReading, 'voltageV' | 'currentA' | 'otherModules'>,
): Expected {
  const aV = r.idealityV ?? idealityV(m);
  const moduleV = openCircuitInLightV(m, r.cellC, r.irradianceWm2, aV);
  const atCellV = (aV * (r.cellC + 273.15)) / 298.15;
  const parts = [
    (100 * BUDGET.thermometerK * Math.abs(m.betaUocPerK * m.uocV)) / moduleV / FLAT,
    BUDGET.meterPercent / FLAT,
    BUDGET.batchPercent / FLAT,
    (atCellV * BUDGET.lightPercent) / moduleV / FLAT,
    BUDGET.scatterPercent / Math.sqrt(r.modules),
  ];
  const uPercent = Math.hypot(...parts);
  return {
    moduleV,
    stringV: r.modules * moduleV,
    currentA: shortCircuitA(m, r.cellC, r.irradianceWm2),
    u: uPercent / 100,
    u95Percent: 2 * uPercent,
  };
}

export interface RankedCause {
  readonly cause: CauseId;
  readonly words: string;
  readonly next: string;
  readonly safety: string;
  readonly probability: number;
}

export interface CauseRanking {
  readonly expected: Expected;
  readonly deviationPercent: number;
  /** `pass`: as drawn and within U95; `fail`: some fault, and as drawn under 5 %; else `caution`. */
  readonly verdict: 'pass' | 'caution' | 'fail';
  /** Likeliest first; probabilities sum to 1. */
  readonly causes: readonly RankedCause[];
}

/** Modules in series that would show the voltage of a cause; null where it cannot be, or shows none of its own. */
function modulesShown(cause: CauseId, n: number, bypassDiodes: number, other: number | null): number | null {
  switch (cause) {
    case 'ok':
    case 'y_parallel':
      return n;
    case 'minus1':
      return n - 1;
    case 'plus1':
      return n + 1;
    case 'minus2':
    case 'mod_reversed':
      return n - 2;
    case 'plus2':
      return n + 2;
    case 'diode1':
      return bypassDiodes ? n - 1 / bypassDiodes : null;
    case 'diode2':
      return bypassDiodes ? n - 2 / bypassDiodes : null;
    case 'reversed':
      return -n;
    case 'swapped':
      return other === n ? null : other;
    case 'series':
      return 2 * n;
    case 'open':
      return 0;
    default:
      return null;
  }
}

/** Current that a cause shows, in currents of one string. */
function currentsShown(cause: CauseId): number {
  switch (cause) {
    case 'reversed':
      return -1;
    case 'y_parallel':
      return 2;
    case 'open':
      return 0;
    default:
      return 1;
  }
}

const logGauss = (x: number, mean: number, s: number) => -0.5 * ((x - mean) / s) ** 2 - Math.log(s);
const ROOT_2PI = Math.sqrt(2 * Math.PI);
const LOG_PRIORS: readonly number[] = FIELD_CAUSES.map((row) => Math.log(row.prior));

/**
 * Likeliest causes of a reading: ln prior − ½((V − V_h)/s)² − ln s, s = max(|V_h|·u, 2 V), current alike with max(|I_h|·5 %, 0.1 A);
 * "none of the known" and "low current" are flat. Priors and spreads: common practice. Verdict: pass when as drawn has 80 % or more
 * and the deviation lies within U95.
 */
export const rankCauses = (m: ModuleType, r: FieldReading): CauseRanking => new Ranking(m, r);

/** Judged at once; the causes are written out when somebody reads them. */
class Ranking implements CauseRanking {
  readonly expected: Expected;
  readonly deviationPercent: number;
  readonly verdict: CauseRanking['verdict'];
  readonly #module: ModuleType;
  readonly #reading: FieldReading;

  constructor(m: ModuleType, r: FieldReading) {
    this.#module = m;
    this.#reading = r;
    this.expected = expectedReading(m, r);
    this.deviationPercent = 100 * (r.voltageV / this.expected.stringV - 1);
    const scores = this.#scores();
    const top = largestOf(scores);
    const best = FIELD_CAUSES[scores.indexOf(top)]?.cause;
    const ok = Math.exp((scores[AS_DRAWN] as number) - top) / totalOf(scores, top);
    const passes = ok >= 0.8 && Math.abs(this.deviationPercent) <= this.expected.u95Percent;
    const fails = best !== 'ok' && best !== 'low_current' && ok < 0.05;
    this.verdict = passes ? 'pass' : fails ? 'fail' : 'caution';
  }

  /** By cause, in the order of the table; −∞ where it cannot be. The next ranking overwrites them: thousands are made for every one that is read. */
  #scores(): Float64Array {
    for (let i = 0; i < SCORES.length; i++) {
      const { cause } = FIELD_CAUSES[i] as (typeof FIELD_CAUSES)[number];
      SCORES[i] = scoreOf(cause, LOG_PRIORS[i] as number, this.#module, this.#reading, this.expected);
    }
    return SCORES;
  }

  get causes(): readonly RankedCause[] {
    const scores = this.#scores();
    const top = largestOf(scores);
    const total = totalOf(scores, top);
    return FIELD_CAUSES.flatMap(({ cause, words, next, safety }, i): RankedCause[] => {
      const score = scores[i] as number;
      return score === -Infinity ? [] : [{ cause, words, next, safety, probability: Math.exp(score - top) / total }];
    }).sort((a, b) => b.probability - a.probability);
  }
}
const SCORES = new Float64Array(FIELD_CAUSES.length);

function largestOf(scores: Float64Array): number {
  let largest = -Infinity;
  for (let i = 0; i < scores.length; i++) largest = Math.max(largest, scores[i] as number);
  return largest;
}

/** Shares of all causes together, the likeliest as 1. */
function totalOf(scores: Float64Array, top: number): number {
  let total = 0;
  for (let i = 0; i < scores.length; i++) total += Math.exp((scores[i] as number) - top);
  return total;
}
const AS_DRAWN = FIELD_CAUSES.findIndex((row) => row.cause === 'ok');

/** How well a cause explains a reading, as the logarithm of its share; −∞ where it cannot be. */
function scoreOf(cause: CauseId, logPrior: number, m: ModuleType, r: FieldReading, e: Expected): number {
  const { voltageV, currentA } = r;
  const { moduleV, stringV, currentA: i1, u } = e;
  if (cause === 'other')
    return logPrior + Math.log(ROOT_2PI / (3 * stringV)) + (currentA === null ? 0 : Math.log(ROOT_2PI / (3 * i1)));
  if (cause === 'low_current') {
    if (currentA === null || currentA < 0.3 * i1 || currentA > 0.95 * i1) return -Infinity;
    return logPrior + logGauss(voltageV, stringV, Math.max(stringV * u, 2)) + Math.log(ROOT_2PI / (0.65 * i1));
  }
  const modules = modulesShown(cause, r.modules, m.bypassDiodes, r.otherModules);
  if (modules === null) return -Infinity;
  const vH = modules * moduleV;
  const iH = currentsShown(cause) * i1;
  const uI = BUDGET.currentPercent / 100;
  return (
    logPrior +
    logGauss(voltageV, vH, Math.max(Math.abs(vH) * u, 2)) +
    (currentA === null ? 0 : logGauss(currentA, iH, Math.max(Math.abs(iH) * uI, 0.1)))
  );
}

/** Light below which a voltage proves nothing, W/m² (common practice). */
export const TOO_DARK_WM2 = (100 * STC_W_M2) / 1000;
