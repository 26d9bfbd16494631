import { requirePositive, requireWithin } from '../../kernel/require';
import { CIRCUITS_FACTOR, SEPARATION_MM } from '../tables/separation';

export type SeparationClass = keyof typeof SEPARATION_MM;
export type Barrier = keyof (typeof SEPARATION_MM)['a'];

/** Distance from power cables where nobody reckons one, mm (common practice). */
export const USUAL_MM = 200;
/** Distance of the American school without a barrier, mm: 2 in (NFPA 70, 725.136; recalled). */
export const AMERICAN_MM = 50;

/** Power circuits as 230 V 20 A ones: every phase one, above 20 A in multiples of 20. A, above 0; phases 1…3 (RangeError else). EN 50174-2 (recalled). */
export function circuitsOf(ampA: number, phases: number): number {
  requirePositive({ ampA }, 'ampA');
  requireWithin('phases', phases, 1, 3);
  return phases * Math.ceil(ampA / 20);
}

/** Least distance between a data cable and power circuits in parallel, mm: S·P. Circuits from 1 (RangeError else). EN 50174-2:2009 (recalled). */
export function leastSeparationMm(cableClass: SeparationClass, barrier: Barrier, circuits: number): number {
  requireWithin('circuits', circuits, 1, Infinity);
  const factor = CIRCUITS_FACTOR.find(([most]) => circuits <= most)?.[1] ?? Infinity;
  return SEPARATION_MM[cableClass][barrier] * factor;
}
