import type { Judged } from '../../kernel/judgement';

export type PhaseOfMeter = 'right' | 'reversed' | 'wrong phase' | 'wrong phase and reversed' | 'no signal' | 'unclear';
export interface MeterSignature {
  readonly each: readonly PhaseOfMeter[];
  readonly ratios: readonly number[];
  /** Mean share where all phases are off alike: the ratio of the transformers is suspect; null otherwise. */
  readonly ratioSuspect: number | null;
  readonly verdict: Judged | 'unknown';
}

const CLASSES: readonly (readonly [number, PhaseOfMeter])[] = [
  [1, 'right'],
  [-1, 'reversed'],
  [-0.5, 'wrong phase'],
  [0.5, 'wrong phase and reversed'],
  [0, 'no signal'],
];
/** How near a class a share has to lie; how alike three shares are that point at the ratio (common practice). */
const NEAR = 0.15;
const ALIKE = 0.05;

/** Which current transformer is turned, exchanged or dead: r = ΔP_phase/(P_unit/3) at unity power factor and steady load. */
export function meterSignature(changeKw: readonly number[], unitKw: number): MeterSignature {
  const ratios = changeKw.map((p) => p / (unitKw / 3));
  const each = ratios.map((r) => {
    const nearest = [...CLASSES].sort(([a], [b]) => Math.abs(r - a) - Math.abs(r - b))[0];
    return nearest && Math.abs(r - nearest[0]) <= NEAR ? nearest[1] : ('unclear' as const);
  });
  const mean = ratios.reduce((a, b) => a + b, 0) / ratios.length;
  const spread = Math.max(...ratios) - Math.min(...ratios);
  const suspect = spread <= ALIKE * Math.abs(mean) && Math.abs(mean) > ALIKE && Math.abs(mean - 1) > NEAR;
  const verdict = each.includes('unclear') ? 'unknown' : each.every((e) => e === 'right') ? 'holds' : 'stop';
  return { each, ratios, ratioSuspect: suspect ? mean : null, verdict };
}

/** Least error that a meter is allowed, share of the rating and of the power (common practice). */
const OF_RATING = 0.03;
const OF_POWER = 0.05;

/** Step of the site meter against the unit's power: |after − before − P| ≤ max(3 % of the rating, 5 % of P). kW. */
export function meterStep(beforeKw: number, afterKw: number, unitKw: number, ratedKw: number) {
  const errorKw = Math.abs(afterKw - beforeKw - unitKw);
  const limitKw = Math.max(OF_RATING * ratedKw, OF_POWER * Math.abs(unitKw));
  return { errorKw, limitKw, verdict: (errorKw <= limitKw ? 'holds' : 'stop') as Judged };
}
