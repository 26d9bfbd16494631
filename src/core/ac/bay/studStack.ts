import { exactly } from '../../kernel/publishedTable';
import { STUD_HARDWARE } from '../tables/studHardware';

/** Threads that stand out of a nut (common practice). */
const THREADS_OUT = 2;

/**
 * Length of stud that so many palms want, mm: palms, flat washer, spring washer, nut and two threads out. Thread M6 to M16, undefined off
 * the table. Source: ISO 4032, ISO 7089, DIN 127 (recalled).
 */
export function studStackMm(studM: number, palmMm: number, palms: number): number | undefined {
  const of = (part: (typeof STUD_HARDWARE.columns)[number]) => exactly(STUD_HARDWARE, studM, part);
  const [flat, spring, nut, pitch] = [of('flat washer'), of('spring washer'), of('nut'), of('pitch')];
  if (flat === undefined || spring === undefined || nut === undefined || pitch === undefined) return undefined;
  return palms * palmMm + flat + spring + nut + THREADS_OUT * pitch;
}
