import type { ModuleType } from '../equipment/moduleType';
import type { Survey } from '../site/siteDesign';
import { IRRADIANCE_FACTOR } from './currents';
import { STRING_FUSES_A } from './tables/stringFuses';

const SLACK = 1e-9;

export interface StringFuse {
  /** What the others push into a shorted string, A. */
  readonly reverseA: number;
  readonly needed: boolean;
  /** Most strings in parallel without fuses. */
  readonly maxUnfused: number;
  /** A rating lies above (IEC) or at least at (NEC) this, and at most at `mostA`. */
  readonly leastA: number;
  readonly mostA: number;
  readonly ratingA: number | null;
}

/**
 * String fuses of `strings` equal strings in parallel, A. Oneself I' = g_b·I_sc; k' = max(k, 1.25).
 *   I_rev = (N_p − 1)·k'·I' · needed when I_rev > module fuse · N_p,unfused = 1 + ⌊I_fuse/(k'·I')⌋
 *   IEC 1.5·I' < I_n ≤ min(2.4·I', module fuse) · NEC 1.5625·I' ≤ I_n ≤ module fuse
 * Source: IEC 62548-1; NFPA 70 690.9; ratings IEC 60269-6 (recalled). No rating in the range is SF01: fewer strings in parallel.
 */
export function stringFuse(
  module: ModuleType,
  rearGain: number,
  strings: number,
  school: Survey['school'],
  trackerFactor = IRRADIANCE_FACTOR,
): StringFuse {
  const oneA = rearGain * module.iscA;
  const strict = Math.max(trackerFactor, IRRADIANCE_FACTOR) * oneA;
  const nec = school === 'NEC';
  const leastA = (nec ? 1.5625 : 1.5) * oneA;
  const mostA = nec ? module.fuseMaxA : Math.min(2.4 * oneA, module.fuseMaxA);
  const fits = (a: number) => (nec ? a >= leastA - SLACK : a > leastA + SLACK) && a <= mostA + SLACK;
  const reverseA = (strings - 1) * strict;
  return {
    reverseA,
    needed: reverseA > module.fuseMaxA + SLACK,
    maxUnfused: 1 + Math.floor(module.fuseMaxA / strict + SLACK),
    leastA,
    mostA,
    ratingA: STRING_FUSES_A.find(fits) ?? null,
  };
}
