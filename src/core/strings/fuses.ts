import { z } from 'zod';
import type { ModuleType } from '../equipment/moduleType';
import type { SchoolName } from '../conductor/school';
import { ROUNDING, floored } from '../kernel/rounding';
import { IRRADIANCE_FACTOR } from './currents';
import { STRING_FUSES_A } from './tables/stringFuses';

export const stringFuseSchema = z.object({
  reverseA: z.number().meta({ unit: 'A', description: 'What the others push into a shorted string' }),
  needed: z.boolean(),
  maxUnfused: z.number().meta({ description: 'Most strings in parallel without fuses' }),
  leastA: z.number().meta({ unit: 'A', description: 'A rating lies above (IEC) or at least at (NEC) this' }),
  mostA: z.number().meta({ unit: 'A', description: 'and at most at this' }),
  ratingA: z.number().nullable().meta({ unit: 'A', description: 'The smallest standard rating there; null: none is' }),
});
export type StringFuse = Readonly<z.infer<typeof stringFuseSchema>>;

/** Ratings between which a string's fuse lies, A. */
export type FuseRange = Pick<StringFuse, 'leastA' | 'mostA'>;

/** Whether a rating lies in the range of a string's fuse: above its lower end by IEC, from it by NEC, and at most at its upper end. */
function fuseFits(range: FuseRange, school: SchoolName, ratingA: number): boolean {
  const aboveLeast = school === 'NEC' ? ratingA >= range.leastA - ROUNDING : ratingA > range.leastA + ROUNDING;
  return aboveLeast && ratingA <= range.mostA + ROUNDING;
}

/**
 * Range of the fuse of one string, A. I' = g_b·I_sc: IEC 1.5·I' < I_n ≤ min(2.4·I', module fuse) · NEC 1.5625·I' ≤ I_n ≤ module fuse
 * (IEC 62548-1; NFPA 70 690.9; recalled).
 */
export function fuseRange(module: ModuleType, rearGain: number, school: SchoolName): FuseRange {
  const oneA = rearGain * module.iscA;
  return school === 'NEC'
    ? { leastA: 1.5625 * oneA, mostA: module.fuseMaxA }
    : { leastA: 1.5 * oneA, mostA: Math.min(2.4 * oneA, module.fuseMaxA) };
}

/** The range that suits every one of several strings: the highest lower end, the lowest upper end. */
export const sharedFuseRange = (ranges: readonly FuseRange[]): FuseRange => ({
  leastA: Math.max(...ranges.map((r) => r.leastA)),
  mostA: Math.min(...ranges.map((r) => r.mostA)),
});

/** Whether a fuse of this rating protects: in the range, and a rating that is made (IEC 60269-6; recalled). */
export const fuseProtects = (range: FuseRange, school: SchoolName, ratingA: number): boolean =>
  fuseFits(range, school, ratingA) && STRING_FUSES_A.includes(ratingA);

/** The smallest rating that protects; null where none does. */
export const smallestFuseA = (range: FuseRange, school: SchoolName): number | null =>
  STRING_FUSES_A.find((a) => fuseFits(range, school, a)) ?? null;

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
  school: SchoolName,
  trackerFactor = IRRADIANCE_FACTOR,
): StringFuse {
  const oneA = rearGain * module.iscA;
  const strict = Math.max(trackerFactor, IRRADIANCE_FACTOR) * oneA;
  const range = fuseRange(module, rearGain, school);
  const reverseA = (strings - 1) * strict;
  return {
    reverseA,
    needed: reverseA > module.fuseMaxA + ROUNDING,
    maxUnfused: 1 + floored(module.fuseMaxA / strict),
    ...range,
    ratingA: smallestFuseA(range, school),
  };
}
