import type { AcRun } from './part';

const said = (words: readonly (string | null)[]): string => words.filter((word) => word !== null).join(' ');

/** Line conductors of a run as a schedule says them, as far as they are known: 2 × 120 mm² Cu. */
export function lineWords({ parallel, sectionMm2, metal }: AcRun): string {
  if (sectionMm2 === null) return 'not known';
  const sets = parallel === null ? '? ×' : parallel > 1 ? `${parallel} ×` : null;
  return said([sets, `${sectionMm2} mm²`, metal]);
}

/** The whole cable for those who order and pull it: 2 × 120 mm² Cu, 5-core XLPE. */
export function cableWords(run: AcRun): string {
  const kind = said([run.cores, run.insulation]);
  return kind && run.sectionMm2 !== null ? `${lineWords(run)}, ${kind}` : lineWords(run);
}
