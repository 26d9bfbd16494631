import { requirePositive, requireWithin } from '../../kernel/require';

/** What the pair carries while nothing changes: loads, idle voltage, levels. Resistances in Ω, loads in unit loads. */

/** One unit load between the lines of the pair, Ω: about 12 kΩ a line (TIA/EIA-485-A; recalled). */
export const UNIT_LOAD_OHM = 24_000;

/** Most unit loads a driver bears (TIA/EIA-485-A; recalled). */
export const MOST_UNIT_LOADS = 32;

/** Bias resistors of a pair and what feeds them. */
export interface Bias {
  readonly pullUpOhm: number;
  readonly pullDownOhm: number;
  readonly supplyV: number;
}
const requireBias = ({ pullUpOhm, pullDownOhm, supplyV }: Bias) => {
  requirePositive({ pullUpOhm, pullDownOhm, supplyV }, 'pullUpOhm', 'pullDownOhm', 'supplyV');
  requireWithin('supplyV', supplyV, 0, 24, 'V');
};

const parallelS = (ohms: readonly number[]) => ohms.reduce((sum, r) => sum + 1 / r, 0);

/**
 * Everything across the pair on one driver, Ω: 1/(Σ1/R_T + ΣUL/24 kΩ + 1/(R_pu + R_pd)); Infinity with nothing. Throws RangeError for a
 * resistor that is not above 0 and unit loads below 0.
 */
export function driverLoadOhm(terminatorsOhm: readonly number[], unitLoads: number, bias: Bias | null): number {
  for (const terminatorOhm of terminatorsOhm) requirePositive({ terminatorOhm }, 'terminatorOhm');
  requireWithin('unitLoads', unitLoads, 0, Infinity);
  if (bias) requireBias(bias);
  const biasS = bias ? 1 / (bias.pullUpOhm + bias.pullDownOhm) : 0;
  return 1 / (parallelS(terminatorsOhm) + unitLoads / UNIT_LOAD_OHM + biasS);
}

/** Most unit loads at a driver load, both terminators on: (1/R − Σ1/R_T − 1/(R_pu + R_pd))·24 kΩ. */
export function mostUnitLoads(loadOhm: number, terminatorsOhm: readonly number[], bias: Bias | null): number {
  requirePositive({ loadOhm }, 'loadOhm');
  return UNIT_LOAD_OHM * (1 / loadOhm - 1 / driverLoadOhm(terminatorsOhm, 0, bias));
}

/** A pair that nobody drives: biased at its near end, all receivers and the other terminator lumped at its far end (conservative). */
export interface IdlePair {
  readonly bias: Bias;
  /** Terminators at the near end, and those elsewhere, Ω each. */
  readonly nearOhm: readonly number[];
  readonly farOhm: readonly number[];
  readonly unitLoads: number;
  /** Loop of the whole chain; 0 where it counts as none. */
  readonly loopOhm: number;
  /** Net differential leakage of the receivers, A. */
  readonly leakA?: number;
}

/** D1 − D0 at both ends of an idle pair, V, from the two nodes' currents. Throws RangeError outside the ranges of its inputs. */
export function idleV({ bias, nearOhm, farOhm, unitLoads, loopOhm, leakA = 0 }: IdlePair): {
  readonly nearV: number;
  readonly farV: number;
} {
  requireBias(bias);
  for (const terminatorOhm of [...nearOhm, ...farOhm]) requirePositive({ terminatorOhm }, 'terminatorOhm');
  requireWithin('unitLoads', unitLoads, 0, Infinity);
  requireWithin('loopOhm', loopOhm, 0, Infinity, 'Ω');
  const biasS = 1 / (bias.pullUpOhm + bias.pullDownOhm);
  const [nearS, farS] = [parallelS(nearOhm), parallelS(farOhm) + unitLoads / UNIT_LOAD_OHM];
  const fedA = bias.supplyV * biasS;
  if (loopOhm === 0) {
    const v = (fedA - leakA) / (biasS + nearS + farS);
    return { nearV: v, farV: v };
  }
  const loopS = 1 / loopOhm;
  const here = biasS + nearS;
  // The determinant with the loop's square taken out by hand: of a short pair nothing else would be left of it.
  const determinant = here * farS + loopS * (here + farS);
  return {
    nearV: (fedA * (farS + loopS) - leakA * loopS) / determinant,
    farV: (fedA * loopS - leakA * (here + loopS)) / determinant,
  };
}

/** Voltage over which every receiver reads mark, V (TIA/EIA-485-A; recalled). */
export const RECEIVER_V = 0.2;

/** Largest two equal bias resistors that leave 200 mV on a pair without loop resistance, Ω each: R_p(V_cc/0.2 − 1)/2. */
export function largestBiasOhm(supplyV: number, unitLoads: number, terminatorsOhm: readonly number[]): number {
  requirePositive({ supplyV }, 'supplyV');
  return (driverLoadOhm(terminatorsOhm, unitLoads, null) * (supplyV / RECEIVER_V - 1)) / 2;
}

/** Loss of a pair into its far terminator, dB: 20·log10(1 + R/R_T). */
export function loopLossDb(loopOhm: number, terminatorOhm: number): number {
  requireWithin('loopOhm', loopOhm, 0, Infinity, 'Ω');
  requirePositive({ terminatorOhm }, 'terminatorOhm');
  return 20 * Math.log10(1 + loopOhm / terminatorOhm);
}

/** Power in a terminator at a voltage, W: V²/R_T. */
export function terminatorW(voltV: number, terminatorOhm: number): number {
  requirePositive({ terminatorOhm }, 'terminatorOhm');
  return voltV ** 2 / terminatorOhm;
}

/** Least capacitor of a terminator that is no load for direct current, nF: 2·T_d/Z_0, T_d the delay of the whole pair. */
export function leastTerminatorNf(lengthM: number, delayNsPerM: number, impedanceOhm: number): number {
  requirePositive({ lengthM, delayNsPerM, impedanceOhm }, 'lengthM', 'delayNsPerM', 'impedanceOhm');
  return (2 * lengthM * delayNsPerM) / impedanceOhm;
}

/** Settled after so many of its time constants: within a hundredth of its end (e⁻⁵). */
const TIME_CONSTANTS = 5;

/** Largest capacitor of a terminator that is at rest within half a bit, nF: 1/(2·rate·5·(Z_0 + R_T)). rate bit/s, resistances Ω. */
export function mostTerminatorNf(bitRate: number, impedanceOhm: number, terminatorOhm: number): number {
  requirePositive({ bitRate, impedanceOhm, terminatorOhm }, 'bitRate', 'impedanceOhm', 'terminatorOhm');
  return 1e9 / (2 * bitRate * TIME_CONSTANTS * (impedanceOhm + terminatorOhm));
}

/** Edge of a fast driver, ns (common practice): the shorter it is, the shorter the branch that rings. */
export const FAST_EDGE_NS = 20;

/** Longest branch that does not ring, m: a tenth of the rise over the delay there (common practice). */
export function quietStubM(riseNs: number, delayNsPerM: number): number {
  requirePositive({ riseNs, delayNsPerM }, 'riseNs', 'delayNsPerM');
  return (0.1 * riseNs) / delayNsPerM;
}

/** Wave impedance of a pair with a receiver's capacitance every so many metres, Ω: Z_0/√(1 + C_L/(c·d)). */
export function loadedOhm(impedanceOhm: number, pairPfPerM: number, unitPf: number, everyM: number): number {
  requirePositive({ impedanceOhm, pairPfPerM, everyM }, 'impedanceOhm', 'pairPfPerM', 'everyM');
  requireWithin('unitPf', unitPf, 0, Infinity, 'pF');
  return impedanceOhm / Math.sqrt(1 + unitPf / (pairPfPerM * everyM));
}

/** How far a short is from an end whose own terminator is on, m: [1/(1/Ω − 1/R_T)] over the loop of a metre. */
export function shortAtM(readOhm: number, terminatorOhm: number, loopOhmPerM: number): number {
  requirePositive({ readOhm, terminatorOhm, loopOhmPerM }, 'readOhm', 'terminatorOhm', 'loopOhmPerM');
  requireWithin('readOhm', readOhm, 0, terminatorOhm * (1 - 1e-9), 'Ω');
  return 1 / (1 / readOhm - 1 / terminatorOhm) / loopOhmPerM;
}
