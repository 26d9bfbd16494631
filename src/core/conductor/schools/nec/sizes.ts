import { ROUNDING } from '../../../kernel/rounding';
import { SIZE_NAMES } from './tables/sizes';

/** Name of a size by its area, mm²: 3/0 AWG. An area of no American size is said in mm². */
export const sizeName = (areaMm2: number): string =>
  SIZE_NAMES.find(([area]) => area === areaMm2)?.[1] ?? `${areaMm2} mm²`;

/** The next standard size at or above an area, mm². Undefined past 1000 kcmil. */
export const nextSizeMm2 = (neededMm2: number): number | undefined =>
  SIZE_NAMES.find(([area]) => area >= neededMm2 * (1 - ROUNDING))?.[0];

/** Area, mm², of 1/0 AWG: the least size that may be laid in parallel (310.10(G); recalled). */
export const PARALLEL_LEAST_MM2 = 53.48;
