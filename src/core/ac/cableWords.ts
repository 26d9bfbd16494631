import type { RunResult } from './results';

const said = (words: readonly (string | null)[]): string => words.filter((word) => word !== null).join(' ');

type Sized = Pick<RunResult, 'run' | 'school'>;

/** Line conductors of a run as a schedule says them, as far as they are known: 2 × 120 mm² Cu, 3/0 AWG Al. */
export function lineWords({ run: { parallel, sectionMm2, metal }, school }: Sized): string {
  if (sectionMm2 === null) return 'not known';
  const sets = parallel === null ? '? ×' : parallel > 1 ? `${parallel} ×` : null;
  return said([sets, school.sectionName(sectionMm2), metal]);
}

/** The whole cable for those who order and pull it: 2 × 120 mm² Cu, 5-core XLPE. */
export function cableWords(r: Sized): string {
  const kind = said([r.run.cores, r.run.insulation]);
  return kind && r.run.sectionMm2 !== null ? `${lineWords(r)}, ${kind}` : lineWords(r);
}
