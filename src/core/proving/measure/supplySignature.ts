import type { Judged } from '../../kernel/judgement';
import { SUPPLY_SIGNATURES } from '../tables/supplySignatures';
import type { SignatureRow } from '../tables/supplySignatures';

/** Voltages of a supply in the order of the meter: null where there is no neutral. V. */
export interface TenVoltages {
  readonly lineV: readonly [number, number, number];
  readonly toNeutralV: readonly [number, number, number] | null;
  readonly neutralToPeV: number | null;
  readonly toPeV: readonly [number, number, number];
  /** L–PE again at low impedance: a floating supply copies a wye on a modern meter, and only this repeat tells. Null: not repeated. */
  readonly lowImpedanceV: readonly [number, number, number] | null;
}
export interface Signature {
  readonly name: string;
  readonly verdict: Judged | 'unknown';
  readonly meaning: string;
  readonly action: string;
  /** The phase that alone collapses on the repeat, 1…3; null where none does. Elsewhere the words name the phases. */
  readonly odd: number | null;
  /** Root mean square distance to the row that fits, per unit; null where none was asked. */
  readonly rmsPu: number | null;
  readonly neutralShiftPu: number | null;
  readonly peShiftPu: number;
  readonly note: string | null;
  /** What keeps a wye from holding: its repeat, or the voltage between neutral and PE. */
  readonly wanting: 'repeat' | 'neutral' | null;
}

/** Nominal voltages of three-phase supplies, V line to line (common practice). */
export const NOMINALS_V = [208, 220, 380, 400, 415, 440, 480, 600, 690, 800] as const;
const NOMINAL_WITHIN = 0.06;
/** The nominal voltage nearest to a reading, within 6 %; undefined where none is. */
export function nominalNear(voltageV: number): number | undefined {
  const nearest = [...NOMINALS_V].sort((a, b) => Math.abs(voltageV / a - 1) - Math.abs(voltageV / b - 1))[0];
  return nearest !== undefined && Math.abs(voltageV / nearest - 1) <= NOMINAL_WITHIN ? nearest : undefined;
}
export const isNominal = (voltageV: number): boolean => NOMINALS_V.some((v) => v === voltageV);

const PHASE_PU = 1 / Math.sqrt(3);
/** Bounds of the classification, all common practice: per unit of the largest line voltage unless said otherwise. */
const TRIANGLE_SLACK = 1.03;
const NO_SUPPLY_BELOW = 0.2;
const OFF_NOMINAL = 0.15;
const COLLAPSES_BELOW = 0.5;
const PHANTOM_FROM_PU = 0.2;
const NEAR_PU = 0.06;
const FITS_PU = 0.04;
const SHIFTED_PU = 0.05;
const N_PE_HOLDS_V = 5;
const N_PE_TIGHT_V = 10;

const sum = (v: readonly number[]) => v.reduce((a, b) => a + b, 0);
const squares = (v: readonly number[]) => sum(v.map((x) => x * x));
const near = (value: number, at: number) => Math.abs(value - at) <= NEAR_PU;

/** Displacement of the star point from three phase and three line voltages: √(ΣU_ph²/3 − ΣU_LL²/9), not below 0. */
const starShift = (phase: readonly number[], line: readonly number[]): number =>
  Math.sqrt(Math.max(0, squares(phase) / 3 - squares(line) / 9));

/** Which supply ten voltages and the low-impedance repeat show. Classes by geometry; a class is no permission: the gate is. */
export function supplySignature(v: TenVoltages, nominalV: number): Signature {
  const largest = Math.max(...v.lineV);
  const pu = (volts: readonly number[]) => volts.map((x) => x / largest);
  const peShiftPu = starShift(pu(v.toPeV), pu(v.lineV));
  const neutralShiftPu = v.toNeutralV && starShift(pu(v.toNeutralV), pu(v.lineV));
  const offNominal = Math.abs(largest / nominalV - 1) > OFF_NOMINAL;
  const looksLike = nominalNear(largest);
  const note = offNominal ? `looks like ${looksLike === undefined ? 'no known nominal' : `${looksLike} V`}` : null;
  const said = (name: string, over: Partial<Signature> = {}, turn = 0): Signature => {
    const row = SUPPLY_SIGNATURES.find((r) => r.signature === name);
    const verdict = over.verdict ?? row?.verdict ?? 'unknown';
    return {
      name,
      meaning: turnedWords(row?.meaning ?? 'no known supply reads like this', turn),
      action: turnedWords(row?.action ?? 'stop; read all ten again and ask for the transformer papers', turn),
      odd: null,
      rmsPu: null,
      neutralShiftPu,
      peShiftPu,
      note,
      wanting: null,
      ...over,
      verdict: offNominal && verdict !== 'unknown' ? 'stop' : verdict,
    };
  };
  if (!v.lineV.every((x) => x >= 0) || largest > TRIANGLE_SLACK * (sum(v.lineV) - largest))
    return said('impossible', { meaning: 'three line voltages that cannot be of one system' });
  if (largest < NO_SUPPLY_BELOW * nominalV) return said('no_supply');
  const collapsed = collapse(v, largest);
  if (collapsed) return said(collapsed.name, { odd: collapsed.odd });
  const best = nearestRow(v, pu);
  if (best && best.rmsPu <= FITS_PU)
    return said(best.row.signature, { rmsPu: best.rmsPu, ...wyeVerdict(best.row, v) }, best.turn);
  const shifted = (neutralShiftPu ?? 0) >= SHIFTED_PU || (v.neutralToPeV ?? 0) / largest >= SHIFTED_PU;
  const healthyToEarth = pu(v.lineV).every((x) => near(x, 1)) && pu(v.toPeV).every((x) => near(x, PHASE_PU));
  return v.toNeutralV && healthyToEarth && shifted ? said('open_neutral') : said('unknown');
}

/** What the low-impedance repeat gives away; null where nothing collapses or nothing was repeated. */
function collapse(v: TenVoltages, largest: number): { name: string; odd: number | null } | null {
  if (!v.lowImpedanceV) return null;
  const asked = [0, 1, 2].filter((i) => (v.toPeV[i] ?? 0) / largest >= PHANTOM_FROM_PU);
  const fell = asked.filter((i) => (v.lowImpedanceV?.[i] ?? 0) < COLLAPSES_BELOW * (v.toPeV[i] ?? 0));
  if (fell.length === 0) return null;
  if (fell.length === asked.length && fell.length >= 2) {
    const healthyToN = v.toNeutralV?.every((x) => near(x / largest, PHASE_PU)) ?? false;
    return { name: healthyToN ? 'pe_open' : 'ungrounded', odd: null };
  }
  return fell.length === 1 ? { name: 'phantom_phase', odd: (fell[0] ?? 0) + 1 } : { name: 'unknown', odd: null };
}

/** Words of a row for phases that stand `turn` further: where L1 plays the part of L3, it is L1 that is named. */
const turnedWords = (words: string, turn: number): string =>
  words.replace(/L([123])/g, (_, phase: string) => `L${((Number(phase) - 1 + turn) % 3) + 1}`);

/** The row nearest to the readings over the three rotations of the phases, of those that fit whether a neutral is run. */
function nearestRow(v: TenVoltages, pu: (volts: readonly number[]) => number[]) {
  const neutral = v.toNeutralV !== null;
  const read = {
    line: pu(v.lineV),
    toN: v.toNeutralV && pu(v.toNeutralV),
    toPe: pu(v.toPeV),
    nPe: v.neutralToPeV === null ? null : (pu([v.neutralToPeV])[0] as number),
  };
  let best: { readonly row: SignatureRow; readonly turn: number; readonly rmsPu: number } | null = null;
  for (const row of SUPPLY_SIGNATURES) {
    if (row.neutral !== 'either' && (row.neutral === 'yes') !== neutral) continue;
    for (let turn = 0; turn < 3; turn++) {
      const rmsPu = distancePu(read, row, turn);
      if (best === null || rmsPu < best.rmsPu) best = { row, turn, rmsPu };
    }
  }
  return best;
}

/** Voltages per unit of the largest line voltage. */
interface ReadPu {
  readonly line: readonly number[];
  readonly toN: readonly number[] | null;
  readonly toPe: readonly number[];
  readonly nPe: number | null;
}

/** Root mean square distance of readings to a row whose phases stand `turn` further; infinite for rows that a rule tells. */
function distancePu(read: ReadPu, row: SignatureRow, turn: number): number {
  let sumOfSquares = 0;
  let count = 0;
  const add = (value: number, wanted: number): void => {
    sumOfSquares += (value - wanted) ** 2;
    count += 1;
  };
  const each = (values: readonly number[] | null, wanted: readonly number[] | null): void => {
    if (values && wanted) wanted.forEach((w, k) => add(values[(k + turn) % 3] as number, w));
  };
  each(read.line, row.lineV);
  each(read.toPe, row.toPeV);
  each(read.toN, row.toNeutralV);
  if (read.nPe !== null && row.neutralToPeV !== null) add(read.nPe, row.neutralToPeV);
  return row.lineV ? Math.sqrt(sumOfSquares / count) : Infinity;
}

/** A wye holds with its low-impedance repeat, and by the voltage between neutral and PE; every other row says what the table says. */
function wyeVerdict(row: SignatureRow, v: TenVoltages): Pick<Signature, 'verdict' | 'wanting'> {
  if (row.verdict !== 'holds') return { verdict: row.verdict, wanting: null };
  const nPeV = row.signature === 'wye_tn' ? Math.abs(v.neutralToPeV ?? 0) : 0;
  if (nPeV > N_PE_TIGHT_V) return { verdict: 'stop', wanting: 'neutral' };
  if (nPeV > N_PE_HOLDS_V) return { verdict: 'tight', wanting: 'neutral' };
  return v.lowImpedanceV === null ? { verdict: 'tight', wanting: 'repeat' } : { verdict: 'holds', wanting: null };
}
